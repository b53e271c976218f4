import { Segmented } from 'antd';
import type { Word } from '@june-tide/core/document';
import { saysOf } from '../../../parts/Term.tsx';
import { BandsBench } from './BandsBench.tsx';
import { BlankBench } from './BlankBench.tsx';
import { CostBench } from './CostBench.tsx';
import { GlassBench } from './GlassBench.tsx';
import { OrderBench } from './OrderBench.tsx';
import { PaperBench } from './PaperBench.tsx';
import { ShapedBench } from './ShapedBench.tsx';
import { MAKE_PARTS, type MakePart, useMakePart } from './useMakePart.ts';

const PART_WORDS: Readonly<Record<MakePart, string>> = {
  blank: 'Blank',
  bands: 'Rail bands',
  paper: 'Paper and files',
  glass: 'Glass and weight',
  cost: 'Cost',
  order: 'Order',
  shaped: 'Shaped board',
};

/** What is meant by a part, where it is a word of the trade. */
const TERMS: Readonly<Partial<Record<MakePart, Word>>> = {
  blank: 'blank',
  bands: 'railBands',
  paper: 'template',
  glass: 'lap',
  shaped: 'asBuilt',
};

/** From the design to foam and glass: blank, bands, paper, glass, cost, when it is due, and what came out. */
export function MakeBench() {
  const { part, open } = useMakePart();
  return (
    <section aria-label="Make">
      <div className="head tools no-print">
        <h2>Make</h2>
        <Segmented<MakePart>
          aria-label="What is made"
          size="small"
          value={part}
          onChange={open}
          options={MAKE_PARTS.map((value) => ({ value, label: PART_WORDS[value], title: saysOf(TERMS[value]) ?? '' }))}
        />
      </div>
      {part === 'paper' && <PaperBench />}
      {part === 'blank' && <BlankBench />}
      {part === 'bands' && <BandsBench />}
      {part === 'glass' && <GlassBench />}
      {part === 'cost' && <CostBench />}
      {part === 'order' && <OrderBench />}
      {part === 'shaped' && <ShapedBench />}
    </section>
  );
}
