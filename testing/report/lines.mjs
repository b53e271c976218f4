// How a run of tests is told, unit and interface alike: a line a file, the slowest at the end.
import { root } from '../../scripts/prepare.mjs';
import { relative } from 'node:path';

/** @param file Each {path, passed, failed, seconds}. */
export function fileLine({ path, passed, failed, seconds }) {
  const word = failed > 0 ? 'FAIL' : 'ok  ';
  const broken = failed > 0 ? `, ${failed} failed` : '';
  return `${word} ${relative(root, path)}: ${passed} passed${broken}, ${seconds.toFixed(1)} s`;
}

/** The files that took longest, the longest first. */
export const slowest = (files, most = 10) => [...files].sort((a, b) => b.seconds - a.seconds).slice(0, most);
