import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { TopBar } from '../../parts/TopBar.tsx';
import { Blanks } from './Blanks.tsx';
import { Figures } from './Figures.tsx';
import { PriceSheet } from './PriceSheet.tsx';

const PARTS = ['blanks', 'prices', 'figures'] as const;
type Part = (typeof PARTS)[number];
const PART_WORDS: Readonly<Record<Part, string>> = { blanks: 'Blanks', prices: 'Prices', figures: 'Figures' };

/** What the shop has and reckons with: blanks in stock, its prices, the figures its weights hang on. */
export function Shelf() {
  const [search, setSearch] = useSearchParams();
  const part = PARTS.find((name) => name === search.get('part')) ?? 'blanks';
  return (
    <div className="page">
      <TopBar />
      <main className="shelf">
        <header className="line-head no-print">
          <h1>Shelf</h1>
          <Segmented<Part>
            aria-label="What is on the shelf"
            value={part}
            options={PARTS.map((value) => ({ value, label: PART_WORDS[value] }))}
            onChange={(next) => setSearch({ part: next }, { replace: true })}
          />
        </header>
        {part === 'blanks' && <Blanks />}
        {part === 'prices' && <PriceSheet />}
        {part === 'figures' && <Figures />}
      </main>
    </div>
  );
}
