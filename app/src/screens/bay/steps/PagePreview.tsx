import type { OnePage } from '@june-tide/core/files';

/** A page as it is printed, in small. */
export function PagePreview({ page, words }: { page: OnePage; words: string }) {
  const { width_mm, height_mm } = page;
  const y = (y_mm: number) => height_mm - y_mm;
  return (
    <svg
      className="page-preview"
      viewBox={`0 0 ${width_mm} ${height_mm}`}
      role="img"
      aria-label={words}
      fontFamily="var(--sans)"
    >
      <rect width={width_mm} height={height_mm} fill="#fff" />
      {page.lines.map(({ points, weight_mm, closed, dashed }, i) => (
        <path
          key={i}
          d={`M${points.map((p) => `${p.x_mm.toFixed(2)} ${y(p.y_mm).toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`}
          fill="none"
          stroke="#000"
          strokeWidth={Math.max(0.25, weight_mm)}
          strokeDasharray={dashed ? '2 2' : undefined}
        />
      ))}
      <path
        d={page.boxes
          .map((box) => `M${box.x_mm} ${y(box.y_mm)}h${box.width_mm}v${-box.height_mm}h${-box.width_mm}Z`)
          .join('')}
        fill="#000"
      />
      {page.pictures?.map(({ png, x_mm, y_mm, width_mm: wide, height_mm: high }, i) => (
        <image
          key={i}
          href={png}
          x={x_mm}
          y={y(y_mm) - high}
          width={wide}
          height={high}
          preserveAspectRatio="xMinYMax meet"
        />
      ))}
      {page.texts.map(({ text, x_mm, y_mm, size_mm, anchor, strong }, i) => (
        <text
          key={i}
          x={x_mm}
          y={y(y_mm)}
          fontSize={size_mm}
          textAnchor={anchor}
          fontWeight={strong ? 700 : 400}
          fill="#000"
        >
          {text}
        </text>
      ))}
    </svg>
  );
}
