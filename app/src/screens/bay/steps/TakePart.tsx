import { Button, Drawer, Input, Segmented, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { useEffect, useMemo, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import { type Part, PART_FACTS, withPart } from '@june-tide/core/edit';
import { changeWords } from '@june-tide/core/measure';
import { models } from '@june-tide/core/models';
import { MOST_KEPT } from '@june-tide/core/record';
import { formatLength } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { useDraft } from '../../../parts/useDraft.ts';
import { changeSettings, editBoard, takePart, useShed } from '../../../store/shed.ts';
import { layOver, useSession } from '../session.ts';
import { type StepKey, useBay } from '../useBay.ts';

/** The parts each step can take from another board. */
const PARTS_OF: Readonly<Partial<Record<StepKey, readonly [Part, ...Part[]]>>> = {
  outline: ['outline', 'front', 'back'],
  rocker: ['rocker'],
  foil: ['foil'],
  deck: ['deck'],
  rails: ['rails'],
  bottom: ['bottom'],
  fins: ['fins'],
};

/** Takes the step's part of the board from another one, from a model or from the shop's library, and keeps parts there by name. */
export function TakePart({ short = false }: { short?: boolean }) {
  const { step } = useBay();
  const [open, setOpen] = useState(false);
  const parts = PARTS_OF[step];
  if (!parts) return null;
  return (
    <div className="take-part">
      <Button size="small" aria-label={`Take the ${PART_FACTS[parts[0]].words} from`} onClick={() => setOpen(true)}>
        {short ? 'Take from' : `Take the ${PART_FACTS[parts[0]].words} from`}
      </Button>
      <Drawer
        title={`Take the ${PART_FACTS[parts[0]].words} from`}
        open={open}
        onClose={() => setOpen(false)}
        mask={false}
        size={400}
        destroyOnHidden
      >
        <Taking parts={parts} done={() => setOpen(false)} />
      </Drawer>
    </div>
  );
}

interface Source {
  value: string;
  label: string;
  board: Board;
  /** Of a board of the rack, its id. */
  id?: string;
}

/** Every board a part can be taken from: the rack, the models, and the library's for this part. */
function useSources(part: Part): { title: string; label: string; options: Source[] }[] {
  const { record } = useBay();
  const style = useLengthStyle();
  const records = useShed((shed) => shed.records);
  const library = useShed((shed) => shed.settings.library);
  return useMemo(() => {
    const sized = (name: string, board: Board) => `${name}, ${formatLength(board.length_mm, style, { feet: true })}`;
    const group = (title: string, options: Source[]) => ({ title, label: title, options });
    return [
      group(
        'In the library',
        library
          .filter((kept) => kept.part === part)
          .map((kept) => ({ value: `kept:${kept.id}`, label: sized(kept.name, kept.board), board: kept.board })),
      ),
      group(
        'On the rack',
        Object.values(records)
          .filter((other) => other.id !== record.id && other.archived !== true)
          .map(({ id, board, number }) => ({
            value: `rack:${id}`,
            label: sized(`${board.name} ${number}`, board),
            board,
            id,
          })),
      ),
      group(
        'Models',
        models().map((board) => ({ value: `model:${board.name}`, label: sized(board.name, board), board })),
      ),
    ].filter(({ options }) => options.length > 0);
  }, [library, part, record.id, records, style]);
}

/** Not the address of any board: what would come is laid over under it. */
const TO_COME = 'to-come';

/** Lays the board with the part over this one while it is looked at; what was laid over before lies there again after. */
function useLaidOver(earlier: { board: Board; name: string } | undefined): void {
  const [board, name] = [earlier?.board, earlier?.name];
  useEffect(() => {
    if (!board || name === undefined) return;
    const before = useSession.getState().over;
    layOver({ id: TO_COME, align: 'tail', push: 1, earlier: { board, name } });
    return () => layOver(before);
  }, [board, name]);
}

function Taking({ parts, done }: { parts: readonly [Part, ...Part[]]; done: () => void }) {
  const { record } = useBay();
  const style = useLengthStyle();
  const [part, setPart] = useState<Part>(parts[0]);
  const [chosen, choose] = useState<string>();
  const sources = useSources(part);
  const source = sources.flatMap(({ options }) => options).find(({ value }) => value === chosen);
  const taken = useMemo(() => source && withPart(record.board, part, source.board), [part, record.board, source]);
  const { words, rule } = PART_FACTS[part];
  useLaidOver(taken?.ok && source ? { board: taken.board, name: `the ${words} of ${source.label}` } : undefined);
  return (
    <>
      {parts.length > 1 && (
        <Segmented<Part>
          value={part}
          options={parts.map((value) => ({ value, label: PART_FACTS[value].words }))}
          onChange={setPart}
        />
      )}
      <div className="row-of-tools">
        <Select
          aria-label="Board to take it from"
          className="fit-300"
          showSearch={{ optionFilterProp: 'label' }}
          placeholder="A board, a model, the library"
          value={chosen}
          options={sources}
          onChange={choose}
        />
        <Button
          type="primary"
          disabled={!taken?.ok}
          onClick={() => {
            if (!taken?.ok || !source) return;
            const name = `${words} of ${source.label}`;
            // A board of the rack is a parent from then on: of a half, or by what was learned on it.
            if (source.id === undefined) editBoard(record.id, name, () => taken.board);
            else
              takePart(record.id, name, taken.board, {
                id: source.id,
                kind: part === 'front' || part === 'back' ? part : 'lessons',
              });
            done();
          }}
        >
          Take it
        </Button>
      </div>
      <p className="quiet above-4 below-4">
        To another length it comes by rule: {rule}. Everything else of this board stays.
      </p>
      {taken && !taken.ok && (
        <p role="alert" className="wrong">
          Not from this board: {taken.reason}.
        </p>
      )}
      {taken?.ok && (
        <p role="status">
          {changeWords(record.board, taken.board, style).join(', ') || 'No main number changes.'}
          {taken.backWidths !== 1 &&
            `; the back half drawn ${Math.abs(100 * (taken.backWidths - 1)).toFixed(1)} % ${taken.backWidths > 1 ? 'wider' : 'narrower'} to meet the front`}
        </p>
      )}
      <Library part={part} />
    </>
  );
}

/** The shop's own parts by name: this board's can be put there, and one there taken out again. */
function Library({ part }: { part: Part }) {
  const { record } = useBay();
  const library = useShed((shed) => shed.settings.library);
  const [name, setName, dropName] = useDraft(`part:${part}`, '');
  const { words } = PART_FACTS[part];
  const mine = library.filter((kept) => kept.part === part);
  return (
    <section aria-label="Library">
      <h3>In the library</h3>
      {mine.length === 0 && <p className="quiet">No {words} is kept there yet.</p>}
      {mine.map((kept) => (
        <div className="row-of-tools" key={kept.id}>
          <span>{kept.name}</span>
          <Button
            type="text"
            size="small"
            aria-label={`Take ${kept.name} out of the library`}
            icon={<CloseOutlined aria-hidden />}
            onClick={() => changeSettings({ library: library.filter(({ id }) => id !== kept.id) })}
          />
        </div>
      ))}
      <div className="row-of-tools">
        <Input
          aria-label="Name in the library"
          className="fit-230"
          size="small"
          maxLength={60}
          placeholder={`A name for this ${words}`}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button
          size="small"
          disabled={name.trim() === '' || library.length >= MOST_KEPT}
          onClick={() => {
            const kept = { id: crypto.randomUUID(), name: name.trim(), part, board: record.board };
            if (changeSettings({ library: [...library, kept] }).ok) dropName();
          }}
        >
          Keep this board’s {words}
        </Button>
      </div>
    </section>
  );
}
