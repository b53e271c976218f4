import { Button, InputNumber, Segmented, Select } from 'antd';
import { FIN_SETUPS, type FinBox } from '@june-tide/core/document';
import { withFinBox } from '@june-tide/core/edit';
import {
  ALSO_SERVES,
  FIN_TEMPLATES,
  finSpread_mm,
  type FinTrouble,
  finTroubles,
  leadingEdge_mm,
  SETUP_WORDS,
  toeLines,
  trailingFor_mm,
  withFinsShifted,
  withFinSpread,
  withSetup,
} from '@june-tide/core/fins';
import { Facts } from '@june-tide/core/measure';
import { formatArea, styleApart } from '@june-tide/core/units';
import { Term } from '../../../parts/Term.tsx';
import { LengthField, nudgeOf } from '../../../parts/LengthField.tsx';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard } from '../../../store/shed.ts';
import { FinTemplateEditor } from './FinTemplate.tsx';
import { FinLayouts } from './fins/FinLayouts.tsx';
import { TakePart } from './TakePart.tsx';
import { type FinEdge, tellFinEdge, useSession } from '../session.ts';
import { useBay } from '../useBay.ts';

const ROLE_WORDS = { centre: 'Centre', front: 'Front pair', rear: 'Rear pair' } as const;
const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** The setup, each box with its distances and fin, what the foam says of them, and what else the boxes serve as. */
export function FinsBench() {
  const { record, shape } = useBay();
  const { board } = record;
  const style = useLengthStyle();
  const facts = new Facts(shape);
  const troubles = finTroubles(shape);
  const [toe] = toeLines(shape);
  const also = ALSO_SERVES[board.fins.setup];
  return (
    <>
      <section aria-label="Fins">
        <div className="head tools">
          <h2>Fins</h2>
          <Select
            aria-label="Fin setup"
            size="small"
            value={board.fins.setup}
            className="fit-150"
            options={FIN_SETUPS.map((value) => ({ value, label: capital(SETUP_WORDS[value]) }))}
            onChange={(setup) => editBoard(record.id, `${SETUP_WORDS[setup]} fins`, (b) => withSetup(b, setup))}
          />
          {also.length > 0 && <span className="quiet">also {also.map((setup) => SETUP_WORDS[setup]).join(', ')}</span>}
          <span className="right row-of-tools above-0">
            <FinLayouts />
            <TakePart short />
          </span>
        </div>
        <table className="marks">
          <thead>
            <tr>
              <th scope="col">Fin</th>
              <th scope="col" className="num">
                <Term of="trailingEdge">From tail</Term>
              </th>
              <th scope="col" className="num">
                <Term of="inset" />
              </th>
              <th scope="col" className="num">
                <Term of="toe" />
              </th>
              <th scope="col" className="num">
                <Term of="cant" />
              </th>
            </tr>
          </thead>
          {board.fins.boxes.map((box, i) => (
            <BoxRows key={i} index={i} box={box} />
          ))}
        </table>
      </section>
      <section aria-label="The fins as a set" className="more">
        {troubles.map((trouble) => (
          <Trouble key={`${trouble.code}${trouble.box}`} trouble={trouble} role={board.fins.boxes[trouble.box].role} />
        ))}
        <FinSet />
        <dl className="fin-set">
          <div title="What a ruler laid on the plan shape of every fin would cover">
            <dt>Area of all</dt>
            <dd>{formatArea(facts.finArea_mm2, style, 1)}</dd>
          </div>
          <div title="Depth over the area’s own side: a slender fin is deep for its area">
            <dt>
              <Term of="depthToArea" />
            </dt>
            <dd>{facts.finSlenderness.toFixed(2)}</dd>
          </div>
          {facts.finSetRatio > 0 && (
            <div title="The rear fin’s area over a front one’s">
              <dt>
                <Term of="setRatio" />
              </dt>
              <dd>{facts.finSetRatio.toFixed(2)}</dd>
            </div>
          )}
          <div title="Where the area’s middle stands, up from the tail">
            <dt>Centre up</dt>
            <dd>
              <Measure mm={facts.finCentre_mm} />
            </dd>
          </div>
          {toe && (
            <div title="Where the lines of the front fins’ bases meet">
              <dt>Toe meets</dt>
              <dd>
                <Measure mm={Math.abs(toe.fromNose_mm)} /> {toe.fromNose_mm > 0 ? 'behind nose' : 'ahead of nose'}
              </dd>
            </div>
          )}
        </dl>
      </section>
    </>
  );
}

/** The set as one: moved along the board, drawn out or together; and which edge its distances are told to. */
function FinSet() {
  const { record } = useBay();
  const finEdge = useSession((session) => session.finEdge);
  const spread = finSpread_mm(record.board);
  const nudge = nudgeOf(useLengthStyle(), { shiftKey: false, altKey: false });
  const shift = (way: 1 | -1) =>
    editBoard(record.id, 'fins shifted', (b) => withFinsShifted(b, way * 2 * nudge), 'field:finShift');
  return (
    <div className="row-of-tools above-0">
      <Segmented<FinEdge>
        aria-label="Distances from the tail are told to the"
        size="small"
        value={finEdge}
        onChange={tellFinEdge}
        options={[
          { value: 'trailing', label: 'Trailing' },
          { value: 'leading', label: 'Leading' },
        ]}
      />
      <Button size="small" aria-label="All fins back" title="All fins back" onClick={() => shift(-1)}>
        ←
      </Button>
      <Button size="small" aria-label="All fins forward" title="All fins forward" onClick={() => shift(1)}>
        →
      </Button>
      {spread !== undefined && (
        <label className="mini">
          <Term of="spread">spread</Term>
          <LengthField
            small
            label="Spread of the fins"
            value_mm={spread}
            onChange={(spread_mm, nudged) =>
              editBoard(
                record.id,
                'spread of the fins',
                (b) => withFinSpread(b, spread_mm),
                nudged ? 'field:finSpread' : undefined,
              )
            }
          />
        </label>
      )}
    </div>
  );
}

/** What the foam would refuse; the two numbers never read the same. */
function Trouble({ trouble, role }: { trouble: FinTrouble; role: FinBox['role'] }) {
  const { has_mm, needs_mm } = trouble;
  const style = styleApart(has_mm, needs_mm, useLengthStyle());
  return (
    <p role="status" className="trouble">
      {ROLE_WORDS[role]}: {trouble.words}. There is <Measure mm={has_mm} style={style} />, it wants{' '}
      <Measure mm={needs_mm} style={style} />.
    </p>
  );
}

function BoxRows({ index, box }: { index: number; box: FinBox }) {
  const { record } = useBay();
  const name = ROLE_WORDS[box.role];
  const low = name.toLowerCase();
  const base = box.template.base_mm;
  const leading = useSession((session) => session.finEdge) === 'leading';
  const set = (what: string, change: Partial<FinBox>, merge?: string) =>
    editBoard(record.id, `${low} ${what}`, (b) => withFinBox(b, index, change), merge);
  const chosen = Object.entries(FIN_TEMPLATES).find(([, t]) => t.name === box.template.name);
  return (
    <tbody>
      <tr>
        <th scope="row">{name}</th>
        <td className="num">
          <LengthField
            small
            label={`${name} from tail`}
            value_mm={leading ? leadingEdge_mm(box) : box.trailingEdge_mm}
            onChange={(told_mm, nudge) =>
              set(
                'from tail',
                { trailingEdge_mm: leading ? trailingFor_mm(box, told_mm) : told_mm },
                nudge ? `field:fin${index}` : undefined,
              )
            }
          />
        </td>
        <td className="num">
          {box.role === 'centre' ? (
            <span className="quiet">stringer</span>
          ) : (
            <LengthField
              small
              label={`${name} from rail`}
              value_mm={box.inset_mm}
              onChange={(inset_mm, nudge) => set('from rail', { inset_mm }, nudge ? `field:inset${index}` : undefined)}
            />
          )}
        </td>
        <td className="num">
          {box.role !== 'centre' && (
            <LengthField
              small
              label={`${name} toe over the base`}
              value_mm={Math.sin(box.toe_rad) * base}
              onChange={(toe_mm, nudge) =>
                Math.abs(toe_mm) <= base / 5
                  ? set('toe', { toe_rad: Math.asin(toe_mm / base) }, nudge ? `field:toe${index}` : undefined)
                  : { ok: false, issues: [{ code: 'toe', path: '', words: 'toe is at most a fifth of the base' }] }
              }
            />
          )}
        </td>
        <td className="num">
          {box.role !== 'centre' && (
            <InputNumber
              aria-label={`${name} cant`}
              size="small"
              min={-10}
              max={25}
              suffix="°"
              className="fit-62"
              value={Math.round((box.cant_rad * 180) / Math.PI)}
              onChange={(cant) => {
                if (typeof cant === 'number') set('cant', { cant_rad: (cant * Math.PI) / 180 }, `cant${index}`);
              }}
            />
          )}
        </td>
      </tr>
      <tr className="under">
        <td colSpan={5}>
          <div className="template-row">
            <Select
              aria-label={`${name} template`}
              size="small"
              className="grow"
              value={chosen?.[0] ?? 'own'}
              options={[
                ...Object.entries(FIN_TEMPLATES).map(([value, t]) => ({ value, label: t.name })),
                ...(chosen ? [] : [{ value: 'own', label: box.template.name }]),
              ]}
              onChange={(key) => {
                const template = Object.entries(FIN_TEMPLATES).find(([k]) => k === key)?.[1];
                if (template) set('template', { template });
              }}
            />
            <span className="quiet">base</span>
            <LengthField
              small
              label={`${name} base`}
              value_mm={base}
              onChange={(base_mm, nudge) =>
                set('base', { template: { ...box.template, base_mm } }, nudge ? `field:base${index}` : undefined)
              }
            />
            <span className="quiet">deep</span>
            <LengthField
              small
              label={`${name} depth`}
              value_mm={box.template.depth_mm}
              onChange={(depth_mm, nudge) =>
                set('depth', { template: { ...box.template, depth_mm } }, nudge ? `field:deep${index}` : undefined)
              }
            />
            <FinTemplateEditor
              name={name}
              box={box}
              onChange={(what, change, merge) =>
                set(what, { template: { ...box.template, ...change } }, merge && `${merge}${index}`)
              }
            />
          </div>
        </td>
      </tr>
    </tbody>
  );
}
