import { isWithin, LENGTH_mm } from '@june-tide/core/document';
import { type Rider, riderSchema, stanceFrom, USUAL_WAVES, type Waves, withWeight } from '@june-tide/core/rider';
import { formatLength, formatMass, type LengthStyle, parseLength, parseMass } from '@june-tide/core/units';
import { bareUnitOf } from './LengthField.tsx';

/** What stands in the fields of a rider's card: weight, height and lengths as people write them. */
export interface RiderValues {
  name: string;
  mass: string;
  height: string;
  age: number;
  ability: Rider['ability'];
  surfsAWeek: number;
  stance: Rider['stance'];
  fitness: Rider['fitness'];
  turnsBegin?: 'front' | 'both' | 'back';
  dents?: 'front' | 'even' | 'back';
  waves: Waves;
  boards: { name?: string; length?: string; litres?: number | null; good?: string; bad?: string }[];
}

/** The shop's writing of weights and lengths. */
export interface Writing {
  mass: 'kg' | 'lb';
  length: LengthStyle;
}

const HEIGHT_mm = { low: 900, high: 2500 } as const;

export const readMass = (text: string, { mass }: Writing) => parseMass(text, mass);
export function readHeight(text: string, { length }: Writing) {
  const parsed = parseLength(text, bareUnitOf(length));
  return parsed.ok && !isWithin(HEIGHT_mm, parsed.value)
    ? { ok: false as const, code: 'height', reason: "A height such as 5'10 or 178 cm." }
    : parsed;
}
/** Nothing typed is no length, and no fault. */
const readBoardLength = (text: string | undefined, { length }: Writing) =>
  text === undefined || text.trim() === '' ? undefined : parseLength(text, bareUnitOf(length));

/** Why the length of a ridden board cannot be taken; undefined when it can. */
export function boardLengthFault(text: string | undefined, writing: Writing): string | undefined {
  const parsed = readBoardLength(text, writing);
  if (!parsed || (parsed.ok && isWithin(LENGTH_mm, parsed.value))) return undefined;
  return parsed.ok ? "A length such as 6'2 or 188 cm." : parsed.reason;
}

/** The fields as a rider fills them, or as they stand before somebody has said anything. */
export function valuesOf(rider: Rider | undefined, writing: Writing): Partial<RiderValues> {
  if (!rider) {
    return {
      ability: 'intermediate',
      surfsAWeek: 2,
      stance: 'unknown',
      fitness: 'usual',
      waves: USUAL_WAVES,
      boards: [],
      age: 30,
    };
  }
  return {
    name: rider.name,
    mass: formatMass(rider.mass_kg, writing.mass),
    height: formatLength(rider.height_mm, writing.length, { feet: true }),
    age: rider.age,
    ability: rider.ability,
    surfsAWeek: rider.surfsAWeek,
    stance: rider.stance,
    fitness: rider.fitness,
    waves: rider.waves,
    boards: rider.boards.map(({ name, length_mm, litres_L, good, bad }) => ({
      name,
      length: length_mm === undefined ? '' : formatLength(length_mm, writing.length, { feet: true }),
      litres: litres_L ?? null,
      good,
      bad,
    })),
  };
}

/**
 * The rider the fields describe, weighed on that day where the weight was changed; undefined when they fit no rider. What
 * was not touched keeps its full number, whatever it was written in.
 */
export function riderOf(
  values: RiderValues,
  initial: Partial<RiderValues>,
  before: Rider | undefined,
  on: string,
  writing: Writing,
): Rider | undefined {
  const mass = readMass(values.mass, writing);
  const height = readHeight(values.height, writing);
  if (!mass.ok || !height.ok) return undefined;
  const sameMass = before && values.mass === initial.mass;
  const sameHeight = before && values.height === initial.height;
  const { turnsBegin, dents } = values;
  const mass_kg = sameMass ? before.mass_kg : mass.value;
  const parsed = riderSchema.safeParse({
    id: before?.id ?? crypto.randomUUID(),
    name: values.name,
    mass_kg,
    weights: before?.weights ?? [],
    height_mm: sameHeight ? before.height_mm : height.value,
    age: values.age,
    ability: values.ability,
    surfsAWeek: values.surfsAWeek,
    fitness: values.fitness,
    stance: values.stance === 'unknown' && turnsBegin && dents ? stanceFrom(turnsBegin, dents) : values.stance,
    waves: values.waves,
    boards: riddenBoards(values, initial, before, writing),
  });
  if (!parsed.success) return undefined;
  return sameMass ? parsed.data : withWeight(parsed.data, on, mass_kg);
}

function riddenBoards(
  { boards }: RiderValues,
  initial: Partial<RiderValues>,
  rider: Rider | undefined,
  writing: Writing,
): Rider['boards'] {
  return (boards ?? []).flatMap(({ name = '', length, litres, good = '', bad = '' }, i) => {
    if (name.trim() === '') return [];
    const read = readBoardLength(length, writing);
    const before = rider?.boards.find((board) => board.name === name);
    const untouched = before && length === initial.boards?.[i]?.length && before.length_mm !== undefined;
    const length_mm = untouched ? before.length_mm : read?.ok ? read.value : undefined;
    return [
      {
        name,
        good,
        bad,
        ...(length_mm === undefined ? {} : { length_mm }),
        ...(typeof litres === 'number' ? { litres_L: litres } : {}),
      },
    ];
  });
}
