/**
 * Where labels stand so that all can be read: by the box each takes when it is written, clear of the others and within what it
 * is written on.
 */

/** A label: where it begins, or its middle or end stands, on its base line. */
export interface DrawnText {
  layer: string;
  x_mm: number;
  y_mm: number;
  size_mm: number;
  text: string;
  anchor?: 'start' | 'middle' | 'end';
}

/** How wide the letters from the space to the tilde are in Archivo Regular, thousandths of the size; others are taken as wide as an M. */
const ADVANCES =
  '209 273 374 582 510 950 692 209 355 355 407 625 277 333 277 294 573 521 567 573 555 571 573 553 574 573 296 296 625 625 625 578 1005 682 698 728 734 677 612 796 736 267 559 662 536 847 736 788 665 788 727 673 606 731 648 924 680 655 635 296 294 296 625 485 187 545 567 519 567 548 280 556 563 225 223 514 225 860 563 570 567 567 332 510 297 562 504 723 513 504 498 353 245 353 625'
    .split(' ')
    .map(Number);
const WIDEST = 847;

/** The same of Archivo Bold. */
const STRONG =
  '196 301 456 600 556 973 764 253 364 364 407 641 307 333 307 300 595 596 596 596 597 595 596 596 596 595 335 335 641 641 641 613 1001 724 722 733 739 683 622 802 754 301 603 725 591 872 754 793 681 793 730 679 641 748 694 964 706 699 653 350 300 350 641 518 228 580 608 573 608 584 325 607 602 267 264 570 267 891 602 613 608 608 380 556 342 601 547 798 572 547 519 393 253 393 641'
    .split(' ')
    .map(Number);

/** How wide a text comes out in our own face, mm; never less than it is for letters the table has not. */
export function textWidth_mm(text: string, size_mm: number, strong = false): number {
  const advances = strong ? STRONG : ADVANCES;
  let sum = 0;
  for (const letter of text) sum += advances[(letter.codePointAt(0) ?? 0) - 32] ?? WIDEST;
  return (sum * size_mm) / 1000;
}

/** The size a text is written in so that it takes no more than so much: as asked where it fits. */
export function fitting_mm(text: string, size_mm: number, room_mm: number, strong = false): number {
  return size_mm * Math.min(1, room_mm / textWidth_mm(text, size_mm, strong));
}

export interface LabelBox {
  left_mm: number;
  right_mm: number;
  foot_mm: number;
  top_mm: number;
}

/** From the foot of a g to the top of an l, as shares of the size. */
const BELOW = 0.23;
const ABOVE = 0.75;

/** What a text covers. */
export function boxOf(text: DrawnText): LabelBox {
  const width = textWidth_mm(text.text, text.size_mm);
  const left_mm = text.x_mm - (text.anchor === 'middle' ? width / 2 : text.anchor === 'end' ? width : 0);
  return {
    left_mm,
    right_mm: left_mm + width,
    foot_mm: text.y_mm - BELOW * text.size_mm,
    top_mm: text.y_mm + ABOVE * text.size_mm,
  };
}

/** Texts nearer to one another are read as one. */
const APART_mm = 0.6;
const meet = (a: LabelBox, b: LabelBox): boolean =>
  a.left_mm < b.right_mm + APART_mm &&
  b.left_mm < a.right_mm + APART_mm &&
  a.foot_mm < b.top_mm + APART_mm &&
  b.foot_mm < a.top_mm + APART_mm;

/** The place within `within` nearest to where a text is; as it is where it is too long for it. */
function inside(text: DrawnText, within: LabelBox): DrawnText {
  const box = boxOf(text);
  const shift = (low: number, high: number, least: number, most: number) =>
    low < least ? least - low : high > most ? Math.max(most - high, least - low) : 0;
  return {
    ...text,
    x_mm: text.x_mm + shift(box.left_mm, box.right_mm, within.left_mm, within.right_mm),
    y_mm: text.y_mm + shift(box.foot_mm, box.top_mm, within.foot_mm, within.top_mm),
  };
}

/** Lines are tried so far up and down, in heights of a line. */
const LINES = [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 8, -8, 10, -10, 12, -12];
/** What is smaller than this is not read off a template. */
const LEAST_SIZE_mm = 2.4;
const SMALLER = 0.88;

/**
 * The same texts, each as near to its own place as leaves it clear of those before it, within a box where one is given; beside its
 * place where there is no room over or under it; smaller where there is none at all.
 */
export function placed(texts: readonly DrawnText[], within?: LabelBox): DrawnText[] {
  const done: { text: DrawnText; box: LabelBox }[] = [];
  for (const text of texts) {
    let settled: DrawnText | undefined;
    for (let size_mm = text.size_mm; !settled && size_mm >= LEAST_SIZE_mm; size_mm *= SMALLER) {
      const sized = { ...text, size_mm };
      const width = textWidth_mm(text.text, size_mm);
      for (const across of [0, -(width + 4), width + 4]) {
        settled ??= LINES.map((line) => ({
          ...sized,
          x_mm: text.x_mm + across,
          y_mm: text.y_mm + line * 1.3 * size_mm,
        }))
          .map((moved) => (within ? inside(moved, within) : moved))
          .find((moved) => {
            const box = boxOf(moved);
            const fits = !within || (box.right_mm <= within.right_mm + 1e-6 && box.top_mm <= within.top_mm + 1e-6);
            return fits && !done.some((other) => meet(box, other.box));
          });
      }
    }
    const last = settled ?? (within ? inside(text, within) : text);
    done.push({ text: last, box: boxOf(last) });
  }
  return done.map(({ text }) => text);
}
