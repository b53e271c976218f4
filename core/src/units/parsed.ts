/** What became of something a person wrote: a value in core's unit, or a reason in plain words. */
export type Parsed = { ok: true; value: number } | { ok: false; code: string; reason: string };

export function parsedAs(value: number): Parsed {
  return { ok: true, value: value === 0 ? 0 : value };
}

export function refused(code: string, reason: string): Parsed {
  return { ok: false, code, reason };
}
