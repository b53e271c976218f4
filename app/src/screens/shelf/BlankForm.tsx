import { Button, Drawer, Input, InputNumber, Select } from 'antd';
import { type Blank, blankLines, blankSchema, FOAM_WORDS, FOAMS } from '@june-tide/core/make';
import { LengthField } from '../../parts/LengthField.tsx';
import { changeShelf, type EditResult } from '../../store/shed.ts';

type LengthKey = {
  [K in keyof Blank]-?: K extends `${string}_mm` ? K : never;
}[keyof Blank];

const FIELDS: readonly (readonly [string, readonly (readonly [LengthKey, string])[]])[] = [
  [
    'Size',
    [
      ['length_mm', 'Length'],
      ['width_mm', 'Width'],
      ['thickness_mm', 'Thickness'],
      ['stringer_mm', 'Stringer'],
    ],
  ],
  [
    'Widths 12 in from the tips',
    [
      ['noseWidth12_mm', 'Nose 12 width'],
      ['tailWidth12_mm', 'Tail 12 width'],
    ],
  ],
  [
    'Thickness',
    [
      ['noseTip_mm', 'Nose tip thickness'],
      ['noseThickness12_mm', 'Nose 12 thickness'],
      ['tailThickness12_mm', 'Tail 12 thickness'],
      ['tailTip_mm', 'Tail tip thickness'],
    ],
  ],
  [
    'Natural rocker, over a straightedge at the middle',
    [
      ['noseLift_mm', 'Nose lift'],
      ['noseLift12_mm', 'Lift at nose 12'],
      ['tailLift12_mm', 'Lift at tail 12'],
      ['tailLift_mm', 'Tail lift'],
    ],
  ],
];

interface BlankFormProps {
  blank: Blank;
  onClose: () => void;
  onTakeOff: () => void;
}

/** One blank, each number taken as it is typed; what is no blank is refused and changes nothing. */
export function BlankForm({ blank, onClose, onTakeOff }: BlankFormProps) {
  const change = (part: Partial<Blank>): EditResult => {
    const read = blankSchema.safeParse({ ...blank, ...part });
    if (!read.success) {
      const [issue] = read.error.issues;
      const limit = 'minimum' in issue ? Number(issue.minimum) : 'maximum' in issue ? Number(issue.maximum) : undefined;
      const words = 'no blank is like that';
      return {
        ok: false,
        issues: [{ code: 'blank', path: issue.path.join('.'), words, ...(limit === undefined ? {} : { limit }) }],
      };
    }
    return changeShelf({ put: [read.data] });
  };
  return (
    <Drawer
      title={blank.name}
      open
      onClose={onClose}
      size={520}
      mask={false}
      extra={
        <Button size="small" onClick={onTakeOff}>
          Take it off the shelf
        </Button>
      }
    >
      <BlankPicture blank={blank} />
      <div className="row-of-tools">
        <label className="mini">
          Name
          <Input
            key={blank.name}
            aria-label="Name of the blank"
            size="small"
            maxLength={60}
            defaultValue={blank.name}
            onBlur={(event) => {
              const name = event.target.value.trim();
              if (name !== '' && name !== blank.name) change({ name });
            }}
          />
        </label>
        <label className="mini">
          Foam
          <Select
            aria-label="Foam of the blank"
            size="small"
            className="fit-132"
            value={blank.foam}
            options={FOAMS.map((value) => ({ value, label: FOAM_WORDS[value] }))}
            onChange={(foam) => change({ foam })}
          />
        </label>
        <label className="mini">
          In stock
          <InputNumber
            aria-label="In stock"
            size="small"
            min={0}
            max={9999}
            precision={0}
            className="fit-76"
            value={blank.stock}
            onChange={(stock) => typeof stock === 'number' && change({ stock })}
          />
        </label>
        <label className="mini">
          Price
          <InputNumber
            aria-label="Price of the blank"
            size="small"
            min={0}
            max={100000}
            className="fit-96"
            value={blank.price ?? null}
            onChange={(price) => {
              if (typeof price === 'number') {
                change({ price });
                return;
              }
              const { price: _off, ...rest } = blank;
              changeShelf({ put: [rest] });
            }}
          />
        </label>
      </div>
      {FIELDS.map(([heading, fields]) => (
        <fieldset key={heading} className="blank-fields">
          <legend>{heading}</legend>
          {fields.map(([key, words]) => (
            <label key={key} className="mini">
              {words.replace(/ (width|thickness)$/, '')}
              <LengthField
                small
                label={words}
                feet={key === 'length_mm'}
                value_mm={blank[key]}
                onChange={(mm) => change({ [key]: mm })}
              />
            </label>
          ))}
        </fieldset>
      ))}
    </Drawer>
  );
}

/** The blank from above and from the side, at one scale. */
function BlankPicture({ blank }: { blank: Blank }) {
  const lines = blankLines(blank);
  const L = blank.length_mm;
  const k = 460 / L;
  const xs = Array.from({ length: 61 }, (_, i) => (L * i) / 60);
  const half = blank.width_mm / 2;
  const top = Math.max(...xs.map(lines.deck)) + 10;
  const at = (x: number, y: number) => `${(4 + x * k).toFixed(1)} ${(y * k).toFixed(1)}`;
  const ring = (upper: (x: number) => number, lower: (x: number) => number) =>
    `M${xs.map((x) => at(x, upper(x))).join('L')}L${[...xs]
      .reverse()
      .map((x) => at(x, lower(x)))
      .join('L')}Z`;
  return (
    <svg
      viewBox={`0 0 468 ${((2 * half + top + 40) * k).toFixed(0)}`}
      width="100%"
      role="img"
      aria-label={`${blank.name} from above and from the side`}
    >
      <path
        d={ring(
          (x) => 8 + half - lines.half(x),
          (x) => 8 + half + lines.half(x),
        )}
        fill="var(--board)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <path
        d={ring(
          (x) => 2 * half + 28 + top - lines.deck(x),
          (x) => 2 * half + 28 + top - lines.bottom(x),
        )}
        fill="var(--board)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
    </svg>
  );
}
