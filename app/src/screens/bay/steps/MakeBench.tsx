import { Segmented } from 'antd';
import { useState } from 'react';
import { BlankBench } from './BlankBench.tsx';
import { GlassBench } from './GlassBench.tsx';
import { PaperBench } from './PaperBench.tsx';

const PARTS = ['blank', 'paper', 'glass'] as const;
type Part = (typeof PARTS)[number];
const PART_WORDS: Readonly<Record<Part, string>> = {
  blank: 'Blank',
  paper: 'Paper and files',
  glass: 'Glass and weight',
};

/** From the design to foam and glass: the blank, the paper to cut by, the glass and what it all weighs. */
export function MakeBench() {
  const [part, setPart] = useState<Part>('paper');
  return (
    <section aria-label="Make">
      <div className="head tools">
        <h2>Make</h2>
        <Segmented<Part>
          aria-label="What is made"
          size="small"
          value={part}
          onChange={setPart}
          options={PARTS.map((value) => ({ value, label: PART_WORDS[value] }))}
        />
      </div>
      {part === 'paper' && <PaperBench />}
      {part === 'blank' && <BlankBench />}
      {part === 'glass' && <GlassBench />}
    </section>
  );
}
