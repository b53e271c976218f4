import * as z from 'zod';

/**
 * Data that was kept by another version of the app, or spoilt: understood part by part, and written back without losing
 * what was not understood.
 */

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const idOf = (value: unknown): unknown => (isPlain(value) ? value.id : undefined);

/**
 * Stored data as the schema has it, part by part: what can be read is taken, what cannot, or is not there, is as usual.
 * Fields the schema does not know are passed over; entries of a list that cannot be read are left out of it. Never throws
 * for any `stored`.
 * @param usual what stands where nothing can be read; in lists, the fields of the usual entry of the same id.
 */
export function understood<S extends z.ZodType>(schema: S, stored: unknown, usual: z.output<S>): z.output<S> {
  const whole = schema.safeParse(stored);
  if (whole.success) return whole.data;
  const made = partly(schema, stored, usual);
  const read = schema.safeParse(made);
  return read.success ? read.data : usual;
}

function partly(schema: z.ZodType, stored: unknown, usual: unknown): unknown {
  if (schema instanceof z.ZodObject && isPlain(stored)) {
    const parts = isPlain(usual) ? usual : {};
    return Object.fromEntries(
      Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, part]): [string, unknown][] => {
        const value = understood(part, stored[key], parts[key]);
        return value === undefined ? [] : [[key, value]];
      }),
    );
  }
  if (schema instanceof z.ZodRecord && isPlain(stored) && isPlain(usual)) {
    const part = schema.valueType as z.ZodType;
    return Object.fromEntries(Object.entries(usual).map(([key, was]) => [key, understood(part, stored[key], was)]));
  }
  if (schema instanceof z.ZodArray && Array.isArray(stored)) {
    const part = schema.element as z.ZodType;
    const known: readonly unknown[] = Array.isArray(usual) ? usual : [];
    return stored.flatMap((entry: unknown): unknown[] => {
      const like = known.find((other) => idOf(other) !== undefined && idOf(other) === idOf(entry));
      const read = part.safeParse(understood(part, entry, like));
      return read.success ? [read.data] : [];
    });
  }
  return usual;
}

/** Are two pieces of plain data the same, whatever the order of their keys? */
export function sameData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((entry, i) => sameData(entry, b[i]));
  if (!isPlain(a) || !isPlain(b)) return false;
  const [ours, theirs] = [Object.keys(a), Object.keys(b)];
  return ours.length === theirs.length && ours.every((key) => Object.hasOwn(b, key) && sameData(a[key], b[key]));
}

/**
 * What to write so that a change from `before` to `after` reaches the store and nothing else does: `stored` with the parts
 * that changed put in. Fields and entries that `before` never had, because they were not understood, stay as they are.
 */
export function writtenOver(stored: unknown, before: unknown, after: unknown): unknown {
  if (stored === undefined) return after;
  if (sameData(before, after)) return stored;
  if (isPlain(stored) && isPlain(before) && isPlain(after)) {
    const out: Record<string, unknown> = { ...stored };
    for (const key of Object.keys(before)) if (!Object.hasOwn(after, key)) delete out[key];
    for (const [key, value] of Object.entries(after)) out[key] = writtenOver(stored[key], before[key], value);
    return out;
  }
  if (Array.isArray(stored) && Array.isArray(before) && Array.isArray(after)) {
    return listWrittenOver(stored, before, after);
  }
  return after;
}

function listWrittenOver(stored: readonly unknown[], before: readonly unknown[], after: readonly unknown[]): unknown[] {
  // Entries without an id are told by what they say; where each was read, they lie in the same places.
  const isEach = stored.length === before.length;
  const placeOf = (entry: unknown) => before.findIndex((other) => sameData(other, entry));
  const find = (list: readonly unknown[], entry: unknown) => {
    const id = idOf(entry);
    if (id !== undefined) return list.find((other) => idOf(other) === id);
    return isEach ? list[placeOf(entry)] : undefined;
  };
  const written = after.map((entry) => writtenOver(find(stored, entry), find(before, entry), entry));
  // Entries nobody could read: they were not shown, so nobody took them out.
  const unread = stored.filter((entry) => {
    if (!isPlain(entry)) return false;
    if (idOf(entry) === undefined) return !isEach && placeOf(entry) < 0;
    return find(before, entry) === undefined && find(after, entry) === undefined;
  });
  return [...written, ...unread];
}

/**
 * What came of one thing that was changed in two places: both changes, field by field and entry by entry of lists whose entries have an id.
 * Lists of entries without ids are merged place by place where they stayed as long as they were, else as bags: what either put in is in,
 * what either took out is out. Where both changed the same, ours stands and its path is added to `conflicts`. An entry taken out on one side
 * and changed on the other stays.
 */
export function merged(
  base: unknown,
  ours: unknown,
  theirs: unknown,
  conflicts: string[],
  path: readonly (string | number)[] = [],
): unknown {
  if (Object.is(ours, theirs) || sameData(ours, theirs)) return ours;
  if (sameData(base, ours)) return theirs;
  if (sameData(base, theirs)) return ours;
  if (isPlain(base) && isPlain(ours) && isPlain(theirs)) {
    const out: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(theirs), ...Object.keys(ours)])) {
      const value = merged(base[key], ours[key], theirs[key], conflicts, [...path, key]);
      if (value !== undefined) out[key] = value;
    }
    return out;
  }
  if (Array.isArray(base) && Array.isArray(ours) && Array.isArray(theirs)) {
    const lists = [base, ours, theirs] as readonly unknown[][];
    if (lists.every((list) => list.every((entry) => idOf(entry) !== undefined))) {
      return mergedEntries(base, ours, theirs, conflicts, path);
    }
    if (lists.every((list) => list.length === ours.length)) {
      return ours.map((entry: unknown, i) => merged(base[i], entry, theirs[i], conflicts, [...path, i]));
    }
  }
  if (Array.isArray(ours) && Array.isArray(theirs) && [...ours, ...theirs].every(isPlain)) {
    const was: readonly unknown[] = Array.isArray(base) ? base : [];
    const isIn = (list: readonly unknown[], entry: unknown) => list.some((other) => sameData(other, entry));
    const kept = ours.filter((entry: unknown) => isIn(theirs, entry) || !isIn(was, entry));
    return [...kept, ...theirs.filter((entry: unknown) => !isIn(was, entry) && !isIn(ours, entry))];
  }
  // One has it no more, the other changed it: what is there stays.
  if (ours === undefined) return theirs;
  if (theirs !== undefined) conflicts.push(path.join('.'));
  return ours;
}

function mergedEntries(
  base: readonly unknown[],
  ours: readonly unknown[],
  theirs: readonly unknown[],
  conflicts: string[],
  path: readonly (string | number)[],
): unknown[] {
  const find = (list: readonly unknown[], id: unknown) => list.find((entry) => idOf(entry) === id);
  const ids = new Set([...theirs, ...ours].map(idOf));
  return [...ids].flatMap((id) => {
    const [b, o, t] = [base, ours, theirs].map((list) => find(list, id));
    const entry = merged(b, o, t, conflicts, [...path, String(id)]);
    return entry === undefined ? [] : [entry];
  });
}
