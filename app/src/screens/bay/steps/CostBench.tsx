import { Button, message } from 'antd';
import { Link } from 'react-router';
import { FAMILY_WORDS } from '@june-tide/core/document';
import { sizeLine } from '@june-tide/core/files';
import { costSheet, MOST_PRICE_LINES, priceLineSchema, USUAL_SCHEDULE } from '@june-tide/core/make';
import { money } from '../../../parts/money.ts';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { foamOf, laminatedFor } from '../../../store/derived.ts';
import { changeWorkshop, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** What this board costs the shop, line by line, and the price by its own margin. Stays in the shop. */
export function CostBench() {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const shelf = useShed((shed) => shed.shelf);
  const workshop = useShed((shed) => shed.settings.workshop);
  const { prices, stages, priceList } = workshop;
  const [notice, holder] = message.useMessage();
  const made = laminatedFor(record, shelf, workshop);
  if (!made.ok) {
    return (
      <p role="alert" className="trouble">
        No cost yet: {made.reason}. Mend it under Glass and weight.
      </p>
    );
  }
  const { blank } = foamOf(record, shelf);
  const resin = (record.glass ?? USUAL_SCHEDULE).resin;
  const sheet = costSheet(shape, blank, resin, made.laminate, stages, prices);
  const say = (amount: number) => money(amount, prices.currency);
  const name = `${record.board.name}, ${FAMILY_WORDS[record.board.family]}`;
  return (
    <div role="group" aria-label="Cost" className="cost">
      {holder}
      <p className="sentence above-0 below-6" data-testid="price">
        It costs the shop <b>{say(sheet.cost)}</b>; with {Math.round(prices.margin * 100)} % on it the price is{' '}
        <b>{say(sheet.price)}</b>.
      </p>
      <p className="print-only">
        {record.board.name} {record.number}, {sizeLine(shape, style)}: cost sheet
      </p>
      <div className="blank-columns">
        {(['materials', 'hours'] as const).map((group) => (
          <table key={group} className="marks" aria-label={`Cost sheet, ${group}`}>
            <thead>
              <tr>
                <th scope="col">{group === 'materials' ? 'What' : 'Work'}</th>
                <th scope="col" className="num">
                  How much
                </th>
                <th scope="col" className="num">
                  Cost
                </th>
              </tr>
            </thead>
            <tbody>
              {sheet.lines
                .filter((line) => line.group === group)
                .map((line) => (
                  <tr key={line.name}>
                    <th scope="row">{line.name}</th>
                    <td className="num">{line.amount}</td>
                    <td className="num">{say(line.cost)}</td>
                  </tr>
                ))}
              <tr className="sum">
                <th scope="row">{group === 'materials' ? 'Materials' : 'Hours'}</th>
                <td />
                <td className="num">{say(sheet[group])}</td>
              </tr>
            </tbody>
          </table>
        ))}
      </div>
      <div className="row-of-tools no-print">
        <Button size="small" onClick={() => window.print()}>
          Print the cost sheet
        </Button>
        <Button
          size="small"
          onClick={() => {
            const line = { id: crypto.randomUUID(), name, price: sheet.price };
            const listed = changeWorkshop({ priceList: [...priceList, line] });
            if (listed.ok) void notice.success(`On the customer’s list: ${name}, ${say(sheet.price)}.`);
            else
              void notice.error(
                priceList.length >= MOST_PRICE_LINES
                  ? `The list is full: ${MOST_PRICE_LINES} lines.`
                  : `A price on the list is at most ${say(priceLineSchema.shape.price.maxValue ?? 0)}. The list is as it was.`,
              );
          }}
        >
          Put the price on the list
        </Button>
        <Link to="/shelf?part=prices">Prices and the customer’s list</Link>
      </div>
      <p className="quiet">
        At the shop’s own prices, without taxes. Hours are those of the stages on the line. Nothing of it leaves this
        browser.
      </p>
    </div>
  );
}
