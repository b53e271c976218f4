import { Button } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { type Board, MOST_STATIONS, stationOfMark } from '@june-tide/core/document';
import { placeAt, withCrown, withCrownTimes, withNewCrown, withoutCrown } from '@june-tide/core/edit';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard } from '../../../store/shed.ts';
import { PLACES, stationName } from '../stationName.ts';
import { TakePart } from './TakePart.tsx';
import { useBay } from '../useBay.ts';
import { DeckFeatures, WorkIn } from './DeckFeatures.tsx';

/** One press makes the crown so much flatter or rounder all along. */
const CROWN_STEP = 1.1;

/** The deck: how far it falls from the stringer to the rail, station by station, and what is worked into it. */
export function DeckBench() {
  const { record, shape, hook_mm, moveHook } = useBay();
  const style = useLengthStyle();
  const { crown } = record.board.deck;
  const change = (name: string, to: (board: Board) => Board, merge?: string) => editBoard(record.id, name, to, merge);
  const move = (index: number, at_mm: number, merge?: string) => {
    const mark = crown[index];
    const done = change(`crown moved, ${stationName(mark, style)}`, (b) => withCrown(b, index, { at_mm }), merge);
    moveHook(stationOfMark({ ...mark, at_mm }, shape.anchors));
    return done;
  };
  const rows = crown
    .map((mark, index) => ({ mark, index, x_mm: stationOfMark(mark, shape.anchors) }))
    .sort((a, b) => b.x_mm - a.x_mm);
  const inHand = placeAt(record.board, crown, hook_mm);
  return (
    <section aria-label="Deck" className="table-beside">
      <div className="head tools">
        <h2>Deck</h2>
        <span className="right row-of-tools above-0">
          <WorkIn />
          <TakePart short />
        </span>
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">
              <Term of="station" />
            </th>
            <th scope="col" className="num">
              <Term of="crown" />
            </th>
            <th scope="col">
              <span className="visually-hidden">Take off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ mark, index, x_mm }) => {
            const name = stationName(mark, style);
            return (
              <tr key={index} className={index === inHand ? 'held' : ''} onFocus={() => moveHook(x_mm)}>
                <th scope="row">
                  <span className="place">
                    <LengthField
                      small
                      label={`Place of the crown ${name}`}
                      value_mm={mark.at_mm}
                      onChange={(at_mm, nudge) => move(index, at_mm, nudge ? `field:crownAt${index}` : undefined)}
                    />
                    {PLACES[mark.from]}
                  </span>
                </th>
                <td className="num">
                  <LengthField
                    label={`Crown, ${name}`}
                    value_mm={mark.value_mm}
                    onChange={(value_mm, nudge) =>
                      change(
                        `crown, ${name}`,
                        (b) => withCrown(b, index, { value_mm }),
                        nudge ? `field:crown${index}` : undefined,
                      )
                    }
                  />
                </td>
                <td>
                  {crown.length > 1 && (
                    <Button
                      type="text"
                      size="small"
                      aria-label={`Take off the crown ${name}`}
                      icon={<CloseOutlined aria-hidden />}
                      onClick={() => change(`crown ${name} off`, (b) => withoutCrown(b, index))}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <DeckFeatures>
        <Button
          size="small"
          disabled={crown.length >= MOST_STATIONS || inHand !== undefined}
          onClick={() => change('new crown station', (b) => withNewCrown(b, hook_mm))}
        >
          Crown at the hook
        </Button>
        <Button size="small" onClick={() => change('flatter deck', (b) => withCrownTimes(b, 1 / CROWN_STEP))}>
          Flatter
        </Button>
        <Button size="small" onClick={() => change('rounder deck', (b) => withCrownTimes(b, CROWN_STEP))}>
          Rounder
        </Button>
      </DeckFeatures>
    </section>
  );
}
