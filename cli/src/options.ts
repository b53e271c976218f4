import { parseLength } from '@june-tide/core/units';
import { Told } from './files.ts';

/** Every option of every command, for node's parser. */
export const options = {
  json: { type: 'boolean' },
  csv: { type: 'boolean' },
  model: { type: 'string' },
  out: { type: 'string' },
  to: { type: 'string' },
  paper: { type: 'string' },
  roll: { type: 'string' },
  drawing: { type: 'string' },
  chord: { type: 'string' },
  at: { type: 'string' },
  litres: { type: 'string' },
  length: { type: 'string' },
  hold: { type: 'string' },
  rocker: { type: 'string' },
  by: { type: 'string' },
  share: { type: 'string' },
  factor: { type: 'string' },
  gain: { type: 'boolean' },
  hard: { type: 'string' },
  soft: { type: 'string' },
  help: { type: 'boolean' },
} as const;

type Values = { [K in keyof typeof options]?: (typeof options)[K]['type'] extends 'boolean' ? boolean : string };

export interface Console {
  out: (text: string) => void;
  err: (text: string) => void;
}

/** One command: what it is given, where it writes. @throws Told with plain words. */
export type Command = (args: string[], values: Values, console: Console) => Promise<void>;

/** @throws Told with `words` when the value is missing. */
export function need<T>(value: T | undefined, words: string): T {
  if (value === undefined) throw new Told(words);
  return value;
}

/** @throws Told when the text is not a number. */
export function numberOf(text: string, what: string): number {
  const value = text.trim() === '' ? NaN : Number(text);
  if (!Number.isFinite(value)) throw new Told(`${what}: “${text}” is not a number.`);
  return value;
}

/** @throws Told when the text is not a length. */
export function lengthOf(text: string, what: string): number {
  const parsed = parseLength(text);
  if (!parsed.ok) throw new Told(`${what}: ${parsed.reason}`);
  return parsed.value;
}
