import { Button, Checkbox, Popover, Tag } from 'antd';
import { useState } from 'react';
import { FAMILY_WORDS } from '@june-tide/core/document';
import {
  answersOf,
  type BoardRecord,
  FAILURE_WORDS,
  type Filter,
  filterWords,
  questionSentence,
} from '@june-tide/core/record';
import { formatLitres } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { saveFile } from '../../parts/saveFile.ts';
import { measuresFor } from '../../store/derived.ts';
import { litresOf, useShed } from '../../store/shed.ts';
import { riderNameOf } from './found.ts';

interface AskedProps {
  filters: readonly Filter[];
  drop: (filter: Filter) => void;
  found: readonly BoardRecord[];
}

/** The question read back, each part of it droppable, and what the boards that answer come to. */
export function Asked({ filters, drop, found }: AskedProps) {
  const style = useLengthStyle();
  const mass = useShed((shed) => shed.settings.massUnit);
  const written = { style, mass };
  return (
    <div className="asked" role="group" aria-label="The question">
      <p data-testid="question">{questionSentence(filters, written)}</p>
      <div className="row-of-tools above-0">
        {filters.map((filter) => (
          <Tag
            key={JSON.stringify(filter)}
            closable={{ 'aria-label': `Do not ask for ${filterWords(filter, written)}` }}
            onClose={(event) => {
              event.preventDefault();
              drop(filter);
            }}
          >
            {filterWords(filter, written)}
          </Tag>
        ))}
        {found.length > 0 && (
          <Popover trigger="click" placement="bottomLeft" content={<Answers found={found} />}>
            <Button size="small">What they come to</Button>
          </Popover>
        )}
      </div>
    </div>
  );
}

const counted = (count: number, word: string) => `${count} ${count === 1 ? word : `${word}s`}`;

/** What was made, for whom, how it went, what came back, foam and hours; and all of it as a table. */
function Answers({ found }: { found: readonly BoardRecord[] }) {
  const riders = useShed((shed) => shed.riders);
  const stages = useShed((shed) => shed.settings.workshop.stages);
  const [named, setNamed] = useState(false);
  const hands_h = stages.reduce((sum, stage) => sum + stage.hands_h, 0);
  const answers = answersOf(found, { riders, litresOf }, hands_h);
  const { felt, failures } = answers;
  const rows: readonly (readonly [string, string])[] = [
    [
      'Boards',
      `${answers.boards}: ${answers.families.map(({ family, boards }) => counted(boards, FAMILY_WORDS[family])).join(', ')}`,
    ],
    ['For', answers.riders.map(({ name, boards }) => (boards > 1 ? `${name} ${boards}` : name)).join(', ')],
    [
      'Rides',
      answers.rides === 0
        ? 'none noted'
        : `${answers.rides}: ${felt.better} better, ${felt.same} the same, ${felt.worse} worse than the board before`,
    ],
    [
      'Came back',
      failures.length === 0
        ? 'none with damage'
        : failures.map(({ what, times }) => `${times} ${FAILURE_WORDS[what]}`).join(', '),
    ],
    ['Shaped foam', formatLitres(answers.litres_L)],
    [
      'Hands',
      answers.out === 0
        ? 'none is out of the door yet'
        : `${Number(answers.hours_h.toFixed(1))} h in the ${answers.out} out of the door, by the shop’s own stages`,
    ],
  ];
  return (
    <div className="answers" role="group" aria-label="What they come to">
      <dl>
        {rows.map(([what, words]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <div className="row-of-tools">
        <Button
          onClick={() => {
            const who = named ? (record: BoardRecord) => riderNameOf(record, riders) : undefined;
            void import('@june-tide/core/files/packages').then(({ boardsToCsv }) =>
              saveFile(
                boardsToCsv(found, ({ board }) => measuresFor(board), who),
                'boards.csv',
                'text/csv',
              ),
            );
          }}
        >
          These boards as CSV
        </Button>
        <Checkbox checked={named} onChange={(event) => setNamed(event.target.checked)}>
          with riders’ names
        </Checkbox>
      </div>
    </div>
  );
}
