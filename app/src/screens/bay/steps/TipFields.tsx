import { LengthField } from '../../../parts/LengthField.tsx';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** The plan radius of tips that close in a point: of a pointed nose, of a pin. */
export function TipFields() {
  const { record } = useBay();
  const { nose, tail } = record.board.outline;
  if (nose.kind !== 'pointed' && tail.kind !== 'pin') return null;
  return (
    <div
      className="row-of-tools"
      title="A tip that can be sanded and glassed: 1/4 in at a nose and 3/8 at a pin are usual"
    >
      <span>Tip radius</span>
      {nose.kind === 'pointed' && (
        <>
          <LengthField
            small
            label="Radius of the nose tip"
            value_mm={nose.tip_mm}
            onChange={(tip_mm, nudge) =>
              editBoard(
                record.id,
                'nose tip',
                (b) => ({ ...b, outline: { ...b.outline, nose: { ...nose, tip_mm } } }),
                nudge ? 'field:noseTip' : undefined,
              )
            }
          />
          <span className="quiet">nose</span>
        </>
      )}
      {tail.kind === 'pin' && (
        <>
          <LengthField
            small
            label="Radius of the pin’s tip"
            value_mm={tail.tip_mm}
            onChange={(tip_mm, nudge) =>
              editBoard(
                record.id,
                'pin tip',
                (b) => ({ ...b, outline: { ...b.outline, tail: { ...b.outline.tail, tip_mm } } }),
                nudge ? 'field:pinTip' : undefined,
              )
            }
          />
          <span className="quiet">pin</span>
        </>
      )}
    </div>
  );
}
