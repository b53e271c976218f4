/** The colours a customer says, as they look in resin over white foam: our own, by eye. */
const COLOURS: Readonly<Record<string, string>> = {
  amber: '#d98a2b',
  aqua: '#6fc7c0',
  black: '#26282b',
  blue: '#3f78b5',
  bronze: '#8f6b3d',
  brown: '#7d5738',
  burgundy: '#7d2236',
  coral: '#e2725b',
  cream: '#efe0bd',
  gold: '#d1a53a',
  green: '#5f9a62',
  grey: '#8b9196',
  gray: '#8b9196',
  honey: '#dba545',
  indigo: '#3b4a8c',
  lavender: '#b3a4d1',
  lemon: '#f0df6a',
  lime: '#b4d25c',
  mint: '#a5d8bd',
  mustard: '#cfa42c',
  navy: '#27375c',
  olive: '#83854a',
  orange: '#e5862f',
  peach: '#f2b890',
  pink: '#e79bb0',
  plum: '#6f4064',
  purple: '#7b5a9c',
  red: '#c2362f',
  rust: '#a9502f',
  sand: '#d9c49a',
  sky: '#8fc4e0',
  smoke: '#80868a',
  tan: '#c29b6c',
  teal: '#2f8482',
  turquoise: '#45b3b0',
  violet: '#7d68b0',
  white: '#fbf9f1',
  yellow: '#efc93f',
};

/** How a board is coloured when it is glassed, as far as the words of its order say it. */
export interface Finish {
  /** Resin tint, #rrggbb; none is clear. */
  tint?: string;
  /** Where the tint is. */
  on: 'all' | 'deck' | 'bottom';
  /** The bottom’s cloth is cut on the deck in a clean line. */
  cutLap: boolean;
  /** A line where the lap ends on the deck, #rrggbb. */
  pinline?: string;
}

const word = (text: string, words: string) => new RegExp(`\\b(?:${words})\\b`).test(text);
const colourIn = (text: string): string | undefined => {
  const found = text.match(/[a-z]+/g)?.filter((each) => Object.hasOwn(COLOURS, each)) ?? [];
  // "Sea green", "dark red": the last word of a colour is the colour.
  const last = found.at(-1);
  return last === undefined ? undefined : COLOURS[last];
};

/**
 * What the words of an order say of its colour, part by part between commas: "sea-green tint on the bottom, cut lap, one grey
 * pinline". A colour of a line, a logo or artwork is not the board’s; words that are not known say nothing.
 * @param words as they were typed; any text, also none
 */
export function finishRead(words: string): Finish {
  const finish: Finish = { on: 'all', cutLap: false };
  for (const said of words.toLowerCase().split(/[,;.\n]|\band\b|\bwith\b/)) {
    // How it is finished, and not the colour.
    const part = said.replace(/\bsand(?:ed)? (?:finish|coat)\b/, '');
    if (word(part, 'cut[ -]?laps?|cutlaps?')) finish.cutLap = true;
    if (word(part, 'pin[ -]?lines?')) {
      finish.pinline = colourIn(part) ?? COLOURS.black;
      continue;
    }
    if (
      word(part, 'logos?|decals?|artwork|letter(?:s|ing)|stripes?|bands?|fins?|boxes|box|plugs?|pad|leash|stringers?')
    )
      continue;
    const tint = word(part, 'clear') ? undefined : colourIn(part);
    if (tint === undefined || tint === COLOURS.white) continue;
    finish.tint = tint;
    finish.on = word(part, 'deck') ? 'deck' : word(part, 'bottom|underneath|under') ? 'bottom' : 'all';
  }
  return finish;
}
