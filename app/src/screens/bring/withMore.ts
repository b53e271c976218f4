import type { Point } from '@june-tide/core/bring';
import type { PhotoStandProps } from './PhotoStand.tsx';
import type { MarkedPicture } from './useMarkedPicture.tsx';

/** A marked picture on which a press sets a further mark, each called `word` and its number; `toLine` says where a press is taken to be. */
export function withMore(
  marked: MarkedPicture,
  more: readonly Point[],
  setMore: (next: readonly Point[]) => void,
  word: string,
  toLine: (p: Point) => Point = (p) => p,
): Omit<PhotoStandProps, 'seen'> {
  const from = marked.marks.length;
  return {
    picture: marked.picture,
    marks: [...marked.marks, ...more],
    words: [...marked.words.slice(0, from), ...more.map((_, k) => `${word} ${k + 1}`)],
    move: (mark, to) =>
      mark < from ? marked.move(mark, to) : setMore(more.map((each, k) => (k === mark - from ? to : each))),
    more: {
      from,
      add: (at) => setMore([...more, toLine(at)]),
      remove: (mark) => setMore(more.filter((_, k) => k !== mark - from)),
    },
  };
}
