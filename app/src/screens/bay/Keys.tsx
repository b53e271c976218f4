import { Modal } from 'antd';

const KEYS: readonly [keys: string[], does: string][] = [
  [['←', '→'], 'move the tape hook an inch; with Shift a quarter'],
  [['N'], 'hook to 12 in from the nose'],
  [['T'], 'hook to 12 in from the tail'],
  [['W'], 'hook to the wide point'],
  [['Page Up', 'Page Down'], 'hook to the next station of the step’s work, toward nose or tail'],
  [['1', '...', '0', '-'], 'go to a step of the work, 0 for the tenth, - for the last'],
  [['H'], 'on a mark of your own, or in its number: hard, so that the line goes through it; soft again'],
  [['F'], 'feet, pad, plug, fins, deepest concave and flat point on the plan'],
  [['L'], 'the rail line over the profile'],
  [['C'], 'the concave line over the profile'],
  [['R'], 'into the room and back; in it the arrow keys turn, + and - come nearer, Home goes back to the eye'],
  [['P'], 'a small room beside the drawing'],
  [['S'], 'the station table: every number at any stations'],
  [['G'], 'the words of the trade'],
  [['Ctrl', 'Z'], 'undo; with Shift redo'],
  [['↑', '↓'], 'in a number or on a mark: 1/16; with Shift 1/4, with Alt 1/32'],
  [['Enter'], 'take the number typed'],
  [['Ctrl', 'K'], 'everything that can be done, by typing some of it; boards by name'],
  [['?'], 'this list'],
];

/** What the keys do, on one card. */
export function Keys({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Keys at the stand" open={open} onCancel={onClose} footer={null} width={520}>
      <table className="keys">
        <tbody>
          {KEYS.map(([keys, does]) => (
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
      </table>
    </Modal>
  );
}
