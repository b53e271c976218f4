import { Button, Segmented } from 'antd';
import { LeftOutlined, RightOutlined } from '@ant-design/icons';
import { memo, type ReactNode, useRef, useState } from 'react';
import { type BottomLayer, MOST_STATIONS } from '@june-tide/core/document';
import type { Section } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { INCH_mm } from '@june-tide/core/units';
import { Measure } from '../../../parts/Measure.tsx';
import { useSize } from '../../../parts/useSize.ts';
import { useSession } from '../session.ts';
import { useBay, useLiveBay } from '../useBay.ts';
import { AcrossLarge } from './AcrossLarge.tsx';
import { Against } from './Against.tsx';
import { RailLarge } from './RailLarge.tsx';
import { RailNumbers } from './RailNumbers.tsx';
import { wholeScale } from './sectionScale.ts';
import { edgeWords } from './sectionWords.tsx';
import { fullAt, nextStation, stepStations } from './stepStations.ts';
import { type Behind, WholeSection } from './WholeSection.tsx';

/** The rail beside the whole section is so many times as large. */
const RAIL_LARGER = 2;

type SideView = 'rail' | 'across';

/** So far ahead and behind are the neighbours that are drawn behind the section. */
const NEIGHBOURS_mm = [-12, -6, 6, 12].map((inches) => inches * INCH_mm);

/**
 * The section at the hook as the large drawing of the steps that are about it, and beside the table either its rail twice as large or
 * its bottom under a straightedge, drawn taller.
 */
export function BoardSection() {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const { shape, hook_mm, record, step, over } = useLiveBay();
  const held = Number(useSession((session) => session.held) ?? 0);
  const [chosen, choose] = useState<SideView>();
  const [against, hold] = useState<number>();
  const [banded, band] = useState(false);
  const section = sectionAt(shape, hook_mm);
  const { layers } = record.board.bottom;
  const layer = step === 'bottom' ? (layers[held] ? held : 0) : deepestHere(section, layers);
  const side = chosen ?? (step === 'bottom' ? 'across' : 'rail');
  const scale = section && width > 100 ? wholeScale(section, record.board.outline.width_mm, width, height) : undefined;
  const behind: Behind[] = NEIGHBOURS_mm.flatMap((off_mm) => {
    const neighbour = sectionAt(shape, hook_mm + off_mm);
    return neighbour ? [{ kind: 'neighbour', section: neighbour }] : [];
  });
  const other = against === undefined ? undefined : sectionAt(shape, against);
  if (other) behind.push({ kind: 'against', section: other });
  const laid = over && sectionAt(over.shape, hook_mm - over.shift_mm);
  if (laid) behind.push({ kind: 'over', section: laid });
  return (
    <>
      <section aria-label="Section at the hook" className="whole-section in-a-column">
        <SectionHead section={section} layer={layer ?? 0}>
          <Against against={against} hold={hold} />
        </SectionHead>
        <div ref={box} className="grow">
          {section && scale && (
            <WholeSection
              section={section}
              scale={scale}
              behind={behind}
              layer={layers[layer ?? -1] === undefined ? undefined : layer}
            />
          )}
          {section && fullAt(record.board, step, layer ?? 0, hook_mm) && (
            <p role="status" className="full-here">
              {MOST_STATIONS} stations stand already: go to one with Page Up to pull it, or take one off first.
            </p>
          )}
          {!section && <p className="quiet">The tip: no breadth here. Slide the hook inward.</p>}
        </div>
      </section>
      <section aria-label={side === 'rail' ? 'Rail, larger' : 'Bottom, taller'} className="beside in-a-column">
        <SideTools side={side} choose={choose} banded={banded} band={band} />
        {section && scale && side === 'rail' && (
          <RailLarge section={section} k={RAIL_LARGER * scale.k} behind={behind} banded={banded}>
            {step === 'rails' && <RailNumbers />}
          </RailLarge>
        )}
        {section && scale && side === 'across' && (
          <AcrossLarge section={section} layer={layers[layer ?? -1] === undefined ? undefined : layer} over={laid} />
        )}
      </section>
    </>
  );
}

interface SideToolsProps {
  side: SideView;
  choose: (side: SideView) => void;
  banded: boolean;
  band: (banded: boolean) => void;
}

/** What is drawn larger beside the table, and its bands. */
const SideTools = memo(function SideTools({ side, choose, banded, band }: SideToolsProps) {
  return (
    <div className="head tools">
      <Segmented<SideView>
        aria-label="What is drawn larger"
        size="small"
        value={side}
        onChange={choose}
        options={[
          { value: 'rail', label: 'Rail' },
          { value: 'across', label: 'Bottom' },
        ]}
      />
      {side === 'rail' && (
        <Button size="small" className="right" aria-pressed={banded} onClick={() => band(!banded)}>
          Bands
        </Button>
      )}
    </div>
  );
});

/** Off the step of the bottom, a pull on it is for the contour that is deepest here. */
function deepestHere(section: Section | undefined, layers: readonly BottomLayer[]) {
  if (!section || section.input.bottom.layers.length === 0) return undefined;
  const depths = section.input.bottom.depths.map(Math.abs);
  const index = layers.indexOf(section.input.bottom.layers[depths.indexOf(Math.max(...depths))]);
  return index < 0 ? undefined : index;
}

interface SectionHeadProps {
  section: Section | undefined;
  layer: number;
  children: ReactNode;
}

/** Where the section is, what is read of it, and the way to the next station. */
function SectionHead({ section, layer, children }: SectionHeadProps) {
  const { shape, hook_mm, record } = useLiveBay();
  return (
    <div className="head tools">
      <h2>Section</h2>
      <Stepper layer={layer} />
      <span className="quiet long">
        <Measure mm={hook_mm} /> from tail, <Measure mm={record.board.length_mm - hook_mm} /> from nose
      </span>
      {children}
      {section && (
        <span className="section-figures right" data-testid="section-figures">
          <span>
            <b>
              <Measure mm={shape.rocker.line.valueAt(hook_mm)} />
            </b>{' '}
            lift
          </span>
          <span>{edgeWords(section)}</span>
        </span>
      )}
    </div>
  );
}

/** The hook to the next station of the step's work, either way. */
const Stepper = memo(function Stepper({ layer }: { layer: number }) {
  const { hook_mm, record, step, moveHook } = useBay();
  const stations = stepStations(record.board, step, layer);
  const go = (way: 1 | -1) => nextStation(stations, hook_mm, way);
  return (
    <span className="stepper">
      <Button
        size="small"
        aria-label="Next station toward the tail"
        title="Next station toward the tail: Page Down"
        icon={<LeftOutlined aria-hidden />}
        disabled={go(-1) === hook_mm}
        onClick={() => moveHook(go(-1))}
      />
      <Button
        size="small"
        aria-label="Next station toward the nose"
        title="Next station toward the nose: Page Up"
        icon={<RightOutlined aria-hidden />}
        disabled={go(1) === hook_mm}
        onClick={() => moveHook(go(1))}
      />
    </span>
  );
});
