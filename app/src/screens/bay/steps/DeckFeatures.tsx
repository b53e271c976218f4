import { Button, Dropdown, InputNumber } from 'antd';
import { CloseOutlined, RightOutlined } from '@ant-design/icons';
import { type ReactNode, useMemo, useState } from 'react';
import { DECK_FEATURES, type DeckFeature, type DeckFeatureKind, stationOfMark } from '@june-tide/core/document';
import {
  featureLitres,
  mayHaveFeature,
  withDeckFeature,
  withNewDeckFeature,
  withoutDeckFeature,
} from '@june-tide/core/edit';
import { formatLitres } from '@june-tide/core/units';
import { LengthField } from '../../../parts/LengthField.tsx';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

type Numbers = readonly (readonly [key: string, words: string, kind: 'length' | 'share'])[];

const STRETCH: Numbers = [
  ['at_mm', 'middle ahead of centre', 'length'],
  ['length_mm', 'long', 'length'],
  ['fade_mm', 'running in over', 'length'],
];

/** The numbers of each kind, in the order they are asked. */
const NUMBERS: Readonly<Record<DeckFeatureKind, Numbers>> = {
  flat: [['width', 'level', 'share'], ...STRETCH],
  dome: [['fall_mm', 'falls more by', 'length'], ...STRETCH],
  sDeck: [['drop_mm', 'deep', 'length'], ...STRETCH],
  beak: [
    ['thickness_mm', 'added', 'length'],
    ['length_mm', 'from the tip', 'length'],
    ['fade_mm', 'rising over', 'length'],
    ['roll', 'rolled down', 'share'],
  ],
  step: [
    ['drop_mm', 'down', 'length'],
    ['inset_mm', 'in from the rail', 'length'],
    ['length_mm', 'from the tail', 'length'],
    ['fade_mm', 'fading over', 'length'],
  ],
};

const KINDS = Object.keys(DECK_FEATURES) as DeckFeatureKind[];

/** What is worked into the deck beside its crown, each with its litres; of several the one in hand has its numbers open, the others stand beside the tools. */
export function DeckFeatures({ children }: { children: ReactNode }) {
  const { record } = useBay();
  const { board } = record;
  const { features } = board.deck;
  const litres = useMemo(() => features.map((_, i) => featureLitres(board, i)), [board, features]);
  const [open, setOpen] = useState({ index: features.length - 1, of: features.length });
  // One more is the one in hand; with one taken off there may be none at its place.
  if (open.of !== features.length) {
    const index = features.length > open.of ? features.length - 1 : Math.min(open.index, features.length - 1);
    setOpen({ index, of: features.length });
  }
  const inHand = features.at(open.index);
  return (
    <>
      <div className="row-of-tools">
        {children}
        {features.map(
          (feature, i) =>
            i !== open.index && (
              <button
                key={i}
                type="button"
                className="folded"
                title="Show its numbers"
                onClick={() => setOpen({ ...open, index: i })}
              >
                <RightOutlined aria-hidden /> <FeatureName feature={feature} litres={litres[i]} />
              </button>
            ),
        )}
      </div>
      {inHand && <Feature key={open.index} index={open.index} feature={inHand} litres={litres[open.index]} />}
    </>
  );
}

function FeatureName({ feature, litres }: { feature: DeckFeature; litres: number }) {
  return (
    <>
      <b>{DECK_FEATURES[feature.kind].words}</b>{' '}
      <span className="num" data-testid={`litres-${feature.kind}`}>
        {`${litres < 0 ? '\u2212' : '+'}${formatLitres(Math.abs(litres), 2)}`}
      </span>
    </>
  );
}

/** Works one more feature into the deck. */
export function WorkIn() {
  const { record } = useBay();
  const { board } = record;
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: KINDS.map((kind) => ({
          key: kind,
          disabled: !mayHaveFeature(board, kind),
          label: (
            <>
              {DECK_FEATURES[kind].words} <span className="quiet">{DECK_FEATURES[kind].about}</span>
            </>
          ),
          onClick: () => editBoard(record.id, DECK_FEATURES[kind].words, (b) => withNewDeckFeature(b, kind)),
        })),
      }}
    >
      <Button size="small">Work into the deck</Button>
    </Dropdown>
  );
}

/** One feature: its numbers, how many litres it adds or takes, off. */
function Feature({ index, feature, litres }: { index: number; feature: DeckFeature; litres: number }) {
  const { record, shape, moveHook } = useBay();
  const { words } = DECK_FEATURES[feature.kind];
  const numbers = feature as unknown as Readonly<Record<string, number>>;
  const set = (key: string, what: string, value: number, nudge: boolean) =>
    editBoard(
      record.id,
      `${words} ${what}`,
      (b) => withDeckFeature(b, index, { [key]: value }),
      nudge ? `field:feature${index}${key}` : undefined,
    );
  const middle =
    'from' in feature
      ? stationOfMark(feature, shape.anchors)
      : feature.kind === 'beak'
        ? record.board.length_mm - feature.length_mm / 2
        : feature.length_mm / 2;
  return (
    <div className="in-hand" role="group" aria-label={words} onFocus={() => moveHook(middle)}>
      <FeatureName feature={feature} litres={litres} />
      {NUMBERS[feature.kind].map(([key, what, kind]) => (
        <label className="mini" key={key}>
          {what}
          {kind === 'length' ? (
            <LengthField
              small
              label={`${words}, ${what}`}
              value_mm={numbers[key]}
              onChange={(value, nudge) => set(key, what, value, nudge)}
            />
          ) : (
            <InputNumber
              size="small"
              aria-label={`${words}, ${what}`}
              min={0}
              max={100}
              step={5}
              suffix="%"
              className="fit-76"
              value={Math.round(numbers[key] * 100)}
              onChange={(next) => {
                if (typeof next === 'number') set(key, what, next / 100, true);
              }}
            />
          )}
        </label>
      ))}
      <Button
        type="text"
        size="small"
        aria-label={`Take off the ${words}`}
        icon={<CloseOutlined aria-hidden />}
        onClick={() => editBoard(record.id, `${words} off`, (b) => withoutDeckFeature(b, index))}
      />
    </div>
  );
}
