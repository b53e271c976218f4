import { Modal } from 'antd';
import { STEP_WORDS, type StepKey, useBay } from './useBay.ts';

type KeyRow = readonly [keys: string[], does: string];

const HANDS: readonly KeyRow[] = [
  [['←', '→'], 'move the tape hook an inch; with Shift a quarter'],
  [['N'], 'hook to 12 in from the nose'],
  [['T'], 'hook to 12 in from the tail'],
  [['W'], 'hook to the wide point'],
  [['Page Up', 'Page Down'], 'hook to the next station of the step’s work'],
  [['1', '...', '0', '-'], 'go to a step, 0 for the tenth, - for the last'],
  [['↑', '↓'], 'in a number or on a mark: 1/16; with Shift 1/4, with Alt 1/32'],
  [['Enter'], 'take the number typed'],
  [['Ctrl', 'Z'], 'undo; with Shift redo'],
  [['Ctrl', 'K'], 'everything that can be done; boards by name'],
];
const SHOWN: readonly KeyRow[] = [
  [['F'], 'feet, pad, plug, fins, deepest concave and flat point on the plan'],
  [['L'], 'the rail line over the profile'],
  [['C'], 'the concave line over the profile'],
  [['R'], 'into the room and back'],
  [['←', '↑'], 'in the room: turn; + and - come nearer, Home goes back to the eye'],
  [['P'], 'a small room beside the drawing'],
  [['S'], 'the station table: every number at any stations'],
  [['G'], 'the words of the trade'],
  [['?'], 'this list'],
];

/** What keys do on a step beside that. */
const ON_STEP: Readonly<Partial<Record<StepKey, readonly KeyRow[]>>> = {
  outline: [
    [['↑', '↓'], 'on a ring: wider, narrower; from width to width with Tab'],
    [['H'], 'on a mark of your own: hard or soft'],
  ],
  rocker: [
    [['↑', '↓'], 'on a ring: more lift, less'],
    [['L'], 'the rail line beside the stringer’s'],
  ],
  foil: [[['↑', '↓'], 'on a ring: thicker, thinner']],
  deck: [[['Page Up', 'Page Down'], 'to the next station of the crown; there the arrows pull it on the section']],
  rails: [
    [['Page Up', 'Page Down'], 'to the next rail; on the section’s rings the arrows move apex, fullness and tuck'],
  ],
  bottom: [
    [['Page Up', 'Page Down'], 'to the next depth of the contour in hand'],
    [['C'], 'the concave line over the profile'],
  ],
  fins: [
    [['←', '→'], 'on a fin: up the board, back'],
    [['↑', '↓'], 'on a fin: from the rail, toward it'],
  ],
  check: [[['Tab'], 'from note to note; Enter opens what can be answered']],
};

/** What the keys do, on one card: of the step first. */
export function Keys({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { step } = useBay();
  const here = ON_STEP[step] ?? [];
  return (
    <Modal title="Keys at the stand" open={open} onCancel={onClose} footer={null} width={980} centered>
      <div className="keys-columns">
        <table className="keys">
          {here.length > 0 && <KeyRows title={`On ${STEP_WORDS[step]}`} rows={here} />}
          <KeyRows title="Hook, steps and hands" rows={HANDS} />
        </table>
        <table className="keys">
          <KeyRows title="What is shown" rows={SHOWN} />
        </table>
      </div>
    </Modal>
  );
}

function KeyRows({ title, rows }: { title: string; rows: readonly KeyRow[] }) {
  return (
    <tbody>
      <tr>
        <th colSpan={2} scope="colgroup">
          {title}
        </th>
      </tr>
      {rows.map(([keys, does]) => (
        <tr key={does}>
          <td>
            {keys.map((key) => (
              <span key={key}>
                <kbd>{key}</kbd>{' '}
              </span>
            ))}
          </td>
          <td>{does}</td>
        </tr>
      ))}
    </tbody>
  );
}
