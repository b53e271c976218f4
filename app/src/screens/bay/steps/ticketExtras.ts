import { type Blank, FOAM_WORDS, scheduleWords, type Workshop } from '@june-tide/core/make';
import type { BoardRecord, Settings } from '@june-tide/core/record';
import { dayWords } from '../../../parts/days.ts';
import { foamOf, laminatedFor } from '../../../store/derived.ts';

/** What the ticket says of the order: blank, glass, weight, colours and the day it is due, as far as they are settled. */
export function ticketExtras(
  record: BoardRecord,
  shelf: readonly Blank[],
  workshop: Workshop,
  house: Settings['house'],
) {
  const { blank } = foamOf(record, shelf);
  const { glass, colours, brief } = record;
  const made = glass && laminatedFor(record, shelf, workshop);
  return {
    shop: { ...house, ...(record.makersNo === undefined ? {} : { makersNo: record.makersNo }) },
    id: record.id,
    number: record.number,
    ...(blank ? { blank: `${blank.name}, ${FOAM_WORDS[blank.foam]}` } : {}),
    ...(glass ? { glass: `${scheduleWords(glass)}, ${glass.resin}, ${glass.finish}` } : {}),
    ...(colours ? { colours } : {}),
    ...(brief?.dueOn ? { due: dayWords(brief.dueOn) } : {}),
    ...(made?.ok ? { weight: `about ${made.laminate.mass_kg.toFixed(2)} kg` } : {}),
  };
}
