import { Button, Input, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { finArea_mm2 } from '@june-tide/core/fins';
import { type FinSet, INSIDES, MOST_SETS, withFinSet } from '@june-tide/core/record';
import { formatArea, formatLength } from '@june-tide/core/units';
import { AddPhoto } from '../../../../parts/AddPhoto.tsx';
import { Photos } from '../../../../parts/Photos.tsx';
import { useLengthStyle } from '../../../../parts/Measure.tsx';
import { useDraft } from '../../../../parts/useDraft.ts';
import { changeSettings, dropPhotosOf, editBoard, useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

const INSIDE_WORDS = { flat: 'flat inside', cupped: 'cupped inside' } as const;

/** What a set’s pictures are kept by. */
const picturesOf = ({ id }: FinSet) => `fins:${id}`;

/** The shop's own fins by set: put into this board, kept from it, and who has them. */
export function FinDrawer() {
  const { record } = useBay();
  const sets = useShed((shed) => shed.settings.finDrawer);
  const style = useLengthStyle();
  const [name, setName, dropName] = useDraft('fins', '');
  const change = (id: string, to: Partial<FinSet>) =>
    changeSettings({ finDrawer: sets.map((set) => (set.id === id ? { ...set, ...to } : set)) });
  const keep = () => {
    const seen = new Set<string>();
    const fins = record.board.fins.boxes.flatMap(({ role, template }) => {
      if (seen.has(role)) return [];
      seen.add(role);
      return [{ role, template, inside: 'flat' as const }];
    });
    const set: FinSet = { id: crypto.randomUUID(), name: name.trim(), fins, flex: '', who: '' };
    if (changeSettings({ finDrawer: [...sets, set] }).ok) dropName();
  };
  return (
    <section aria-label="Own fins" className="above-8">
      <h3>The shop’s own fins</h3>
      {sets.length === 0 && <p className="quiet above-0">The drawer is empty. Keep this board’s fins by a name.</p>}
      <ul className="plain-list fin-sets">
        {sets.map((set) => (
          <li key={set.id}>
            <div className="row-of-tools above-0">
              <b>{set.name}</b>
              <Button
                size="small"
                aria-label={`Put ${set.name} in`}
                onClick={() => editBoard(record.id, `fins ${set.name}`, (b) => withFinSet(b, set))}
              >
                Put them in
              </Button>
              <Button
                type="text"
                size="small"
                aria-label={`Take ${set.name} out of the drawer`}
                icon={<CloseOutlined aria-hidden />}
                onClick={() => {
                  if (changeSettings({ finDrawer: sets.filter(({ id }) => id !== set.id) }).ok)
                    void dropPhotosOf(picturesOf(set));
                }}
              />
            </div>
            {set.fins.map(({ role, template, inside }, i) => {
              const area = finArea_mm2(template);
              return (
                <p key={i} className="quiet above-0 below-2">
                  {role}: base {formatLength(template.base_mm, style)}, deep {formatLength(template.depth_mm, style)},{' '}
                  {formatArea(area, style, 1)}, depth to area {(template.depth_mm / Math.sqrt(area)).toFixed(2)},{' '}
                  <Select
                    aria-label={`${set.name} ${role} inside`}
                    size="small"
                    variant="borderless"
                    value={inside}
                    options={INSIDES.map((value) => ({ value, label: INSIDE_WORDS[value] }))}
                    onChange={(next) =>
                      change(set.id, {
                        fins: set.fins.map((fin, k) => (k === i ? { ...fin, inside: next } : fin)),
                      })
                    }
                  />
                </p>
              );
            })}
            <div className="in-a-row">
              <Words
                label={`Flex of ${set.name}`}
                placeholder="Flex, in words"
                value={set.flex}
                keep={(flex) => change(set.id, { flex })}
              />
              <Words
                label={`Who has ${set.name}`}
                placeholder="In the drawer; else who has it"
                value={set.who}
                keep={(who) => change(set.id, { who })}
              />
              <AddPhoto
                of={picturesOf(set)}
                what={`Picture of ${set.name}`}
                kept={set.photos ?? []}
                add={(id) => change(set.id, { photos: [...(set.photos ?? []), id] })}
              />
            </div>
            {set.photos && <Photos ids={set.photos} of={set.name} />}
          </li>
        ))}
      </ul>
      <div className="row-of-tools">
        <Input
          aria-label="Name of these fins"
          size="small"
          className="fit-230"
          maxLength={60}
          placeholder="A name for this board’s fins"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button size="small" disabled={name.trim() === '' || sets.length >= MOST_SETS} onClick={keep}>
          Into the drawer
        </Button>
      </div>
    </section>
  );
}

/** Words that are kept when the field is left. */
function Words({
  label,
  placeholder,
  value,
  keep,
}: {
  label: string;
  placeholder: string;
  value: string;
  keep: (value: string) => void;
}) {
  return (
    <Input
      key={value}
      aria-label={label}
      size="small"
      maxLength={80}
      placeholder={placeholder}
      defaultValue={value}
      onBlur={(event) => {
        const next = event.target.value.trim();
        if (next !== value) keep(next);
      }}
    />
  );
}
