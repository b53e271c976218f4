import { Button, InputNumber, Popover, Segmented } from 'antd';
import type { FinBox, FinTemplate } from '@june-tide/core/document';
import { finArea_mm2, finPlan } from '@june-tide/core/fins';
import { formatArea } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';

const FOILS: readonly { value: FinTemplate['foil']; label: string }[] = [
  { value: 'flat', label: 'Flat inside' },
  { value: 'eightyTwenty', label: '80/20' },
  { value: 'symmetric', label: 'Symmetric' },
];

interface FinTemplateProps {
  name: string;
  box: FinBox;
  onChange: (what: string, change: Partial<FinTemplate>, merge?: string) => void;
}

/** The fin itself, drawn, with what a template has beside base and depth: rake, tip and foil. */
export function FinTemplateEditor({ name, box, onChange }: FinTemplateProps) {
  const { template } = box;
  const area = formatArea(finArea_mm2(template), useLengthStyle(), 1);
  const outline = finPlan(template);
  const xs = outline.map((p) => p.x_mm);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const k = Math.min(150 / (high - low), 130 / template.depth_mm);
  const path = outline.map((p) => `${((p.x_mm - low) * k + 5).toFixed(1)} ${(135 - p.z_mm * k).toFixed(1)}`).join('L');
  const number = (
    label: string,
    value: number,
    [min, max]: readonly [number, number],
    suffix: string,
    write: (value: number) => Partial<FinTemplate>,
  ) => (
    <label className="mini">
      {label}
      <InputNumber
        aria-label={`${name} ${label}`}
        size="small"
        min={min}
        max={max}
        suffix={suffix}
        value={Math.round(value)}
        className="fit-76"
        onChange={(next) => {
          if (typeof next === 'number') onChange(label, write(next), `fin:${label}`);
        }}
      />
    </label>
  );
  return (
    <Popover
      trigger="click"
      content={
        <div className="fin-template" role="group" aria-label={`${name}: the fin`}>
          <svg width={160} height={142} role="img" aria-label={`${template.name}, drawn`}>
            <path d={`M${path}Z`} fill="var(--board)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
          </svg>
          <div className="stack-8">
            {number('rake', (template.rake_rad * 180) / Math.PI, [-15, 65], '°', (v) => ({
              rake_rad: (v * Math.PI) / 180,
            }))}
            {number('tip', template.tip * 100, [8, 85], '%', (v) => ({ tip: v / 100 }))}
            <Segmented
              aria-label={`${name} foil`}
              size="small"
              value={template.foil}
              options={[...FOILS]}
              onChange={(value) => {
                const foil = FOILS.find((entry) => entry.value === value)?.value;
                if (foil) onChange('foil', { foil });
              }}
            />
            <span className="quiet">{area}; rake is the sweep from mid-base to mid-tip.</span>
          </div>
        </div>
      }
    >
      <Button size="small" aria-label={`${name}: rake, tip and foil`}>
        {area}
      </Button>
    </Popover>
  );
}
