import { InputNumber } from 'antd';
import {
  lineOf,
  MET_mm,
  type Read,
  SHEET_READINGS,
  type SheetReading,
  type SheetReadings,
  type SheetResidual,
  type Tool,
  TOOL_KINDS,
  TOOLS,
  worstOf,
} from '@june-tide/core/bring';
import { Reading } from './Reading.tsx';

type Errors = Readonly<Partial<Record<Tool, number>>>;

interface SheetFieldsProps {
  readings: SheetReadings;
  residuals: readonly SheetResidual[];
  sides: boolean;
  errors_mm: Errors;
  onReading: (reading: SheetReading, read: Read | undefined) => void;
  onErrors: (errors_mm: Errors) => void;
}

/** Read by few, and much of a board: below the others, until they are opened. */
const ACROSS: readonly Tool[] = ['across', 'jaws', 'railCard'];
const ALONG = TOOL_KINDS.filter((tool) => !ACROSS.includes(tool));

/** All that is read, by the tool it is read with. */
export function SheetFields(props: SheetFieldsProps) {
  const across = SHEET_READINGS.filter((reading) => ACROSS.includes(lineOf(reading).tool));
  const read = across.filter((reading) => props.readings[reading] !== undefined).length;
  return (
    <>
      {ALONG.map((tool) => (
        <ToolFields key={tool} tool={tool} {...props} />
      ))}
      <details className="across-fields" open={read > 0 || undefined}>
        <summary>
          Rails, deck and bottom across: {read} of {across.length} read
        </summary>
        {ACROSS.map((tool) => (
          <ToolFields key={tool} tool={tool} {...props} />
        ))}
      </details>
    </>
  );
}

const HOW: Readonly<Partial<Record<Tool, string>>> = {
  across: 'From edge to edge, fins out. Light under it is a hollow; where it rocks, with a minus: -1/8.',
  jaws: 'Deck to bottom, half way from the stringer to the rail and an inch in from the rail.',
};

function ToolFields({
  tool,
  readings,
  residuals,
  sides,
  errors_mm,
  onReading,
  onErrors,
}: SheetFieldsProps & { tool: Tool }) {
  const { words, error_mm } = TOOLS[tool];
  const furthest = worstOf(residuals);
  const worst = furthest && Math.abs(furthest.off_mm) >= MET_mm ? furthest.reading : undefined;
  return (
    <div role="group" aria-label={words}>
      <div className="tool-head">
        <h3>{words}</h3>
        <label>
          ±{' '}
          <InputNumber
            size="small"
            aria-label={`How far a reading may be off: ${words}`}
            className="fit-86"
            min={0.1}
            max={20}
            step={0.5}
            suffix="mm"
            value={errors_mm[tool] ?? error_mm}
            onChange={(next) => {
              if (typeof next === 'number') onErrors({ ...errors_mm, [tool]: next });
            }}
          />
        </label>
      </div>
      {HOW[tool] !== undefined && <p className="quiet above-0 below-2">{HOW[tool]}</p>}
      {SHEET_READINGS.filter((reading) => lineOf(reading).tool === tool).map((reading) => (
        <Reading
          key={reading}
          reading={reading}
          read={readings[reading]}
          residual={residuals.find((each) => each.reading === reading)}
          isWorst={worst === reading}
          sides={sides}
          set={(read) => onReading(reading, read)}
        />
      ))}
    </div>
  );
}
