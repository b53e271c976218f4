import { Button, Input } from 'antd';
import {
  type Cloth,
  CLOTH,
  CLOTHS,
  MOST_PRICE_LINES,
  priceLineSchema,
  type Prices,
  pricesSchema,
} from '@june-tide/core/make';
import { money } from '../../parts/money.ts';
import { NumberField } from '../../parts/NumberField.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { changeWorkshop, useShed } from '../../store/shed.ts';

const MONEY = pricesSchema.shape.hour;

/** What things cost the shop, its hour and its margin; and the list its customers read, which says none of that. */
export function PriceSheet() {
  return (
    <div className="shelf-part two">
      <OwnPrices />
      <CustomerList />
    </div>
  );
}

function OwnPrices() {
  const { prices } = useShed((shed) => shed.settings.workshop);
  const put = (change: Partial<Prices>) => changeWorkshop({ prices: { ...prices, ...change } });
  const field = (
    label: string,
    value: number,
    schema: typeof MONEY,
    keep: (value: number) => void,
    percent = false,
  ) => (
    <label key={label} className="price-line">
      <span>{label}</span>
      <NumberField
        label={label}
        width={120}
        value={value}
        schema={schema}
        onChange={keep}
        {...(percent ? { times: 100, suffix: '%' } : {})}
      />
    </label>
  );
  return (
    <section aria-label="What it costs the shop" className="no-print">
      <h2>What it costs the shop</h2>
      <p className="quiet">Invented round figures to begin with. They stay in this browser.</p>
      <label className="price-line">
        <span>Money is written</span>
        <Input
          aria-label="Currency"
          size="small"
          maxLength={6}
          className="fit-124"
          value={prices.currency}
          onChange={(event) => put({ currency: event.target.value.trim() })}
        />
      </label>
      {field('An hour of hands', prices.hour, MONEY, (hour) => put({ hour }))}
      {field('A blank without a price of its own', prices.blank, MONEY, (blank) => put({ blank }))}
      {CLOTHS.map((cloth: Cloth) =>
        field(`${CLOTH[cloth].words}, a metre`, prices.cloth_m[cloth], MONEY, (price) =>
          put({ cloth_m: { ...prices.cloth_m, [cloth]: price } }),
        ),
      )}
      {field('Polyester, a kilo', prices.resin_kg.polyester, MONEY, (polyester) =>
        put({ resin_kg: { ...prices.resin_kg, polyester } }),
      )}
      {field('Epoxy, a kilo', prices.resin_kg.epoxy, MONEY, (epoxy) =>
        put({ resin_kg: { ...prices.resin_kg, epoxy } }),
      )}
      {field('A fin box', prices.finBox, MONEY, (finBox) => put({ finBox }))}
      {field('A leash plug', prices.plug, MONEY, (plug) => put({ plug }))}
      {field('Paper, tape, brushes, a board', prices.sundries, MONEY, (sundries) => put({ sundries }))}
      {field('Margin on the cost', prices.margin, pricesSchema.shape.margin, (margin) => put({ margin }), true)}
      {field('Prices rounded up to', prices.roundTo, pricesSchema.shape.roundTo, (roundTo) => put({ roundTo }))}
    </section>
  );
}

function CustomerList() {
  const { priceList, prices } = useShed((shed) => shed.settings.workshop);
  const put = (id: string, change: { name?: string; price?: number }) =>
    changeWorkshop({ priceList: priceList.map((line) => (line.id === id ? { ...line, ...change } : line)) });
  const { say, holder } = useDone();
  return (
    <section aria-label="The customer’s list">
      {holder}
      <h2>Price list</h2>
      <table className="marks price-list" aria-label="Price list">
        <thead>
          <tr>
            <th scope="col">Board or extra</th>
            <th scope="col" className="num">
              Price
            </th>
            <th scope="col" className="no-print">
              <span className="visually-hidden">Take off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {priceList.map((line) => (
            <tr key={line.id}>
              <td>
                <Input
                  aria-label="Name on the list"
                  className="no-print"
                  size="small"
                  maxLength={priceLineSchema.shape.name.maxLength ?? 80}
                  defaultValue={line.name}
                  onBlur={(event) => {
                    const name = event.target.value.trim();
                    if (name !== '' && name !== line.name) put(line.id, { name });
                  }}
                />
                <span className="print-only">{line.name}</span>
              </td>
              <td className="num">
                <NumberField
                  label={`Price of ${line.name}`}
                  className="no-print"
                  width={100}
                  value={line.price}
                  schema={priceLineSchema.shape.price}
                  onChange={(price) => put(line.id, { price })}
                />
                <span className="print-only">{money(line.price, prices.currency)}</span>
              </td>
              <td className="no-print">
                <Button
                  size="small"
                  aria-label={`Take ${line.name} off the list`}
                  onClick={() => {
                    changeWorkshop({ priceList: priceList.filter(({ id }) => id !== line.id) });
                    say({ words: `${line.name} is off the list.`, back: () => changeWorkshop({ priceList }) });
                  }}
                >
                  ×
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {priceList.length === 0 && (
        <p className="quiet">
          Nothing on it yet. On a board’s Make step, Cost, one press puts its price here; extras are added below.
        </p>
      )}
      <div className="row-of-tools no-print">
        <Button
          size="small"
          disabled={priceList.length >= MOST_PRICE_LINES}
          onClick={() =>
            changeWorkshop({ priceList: [...priceList, { id: crypto.randomUUID(), name: 'Gloss finish', price: 60 }] })
          }
        >
          Add a line
        </Button>
        <Button size="small" disabled={priceList.length === 0} onClick={() => window.print()}>
          Print the list
        </Button>
      </div>
    </section>
  );
}
