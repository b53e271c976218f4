/** What a line is for: cut along, marked on the template, drawn on the board for its bands, set fins by, or only thought. */
export type Ink = 'cut' | 'marked' | 'banded' | 'aimed' | 'thought';

/** How lines look: the same in SVG and in DXF, and on screen in the app's own colours of these names. */
interface Look {
  /** As SVG has it. */
  colour: string;
  /** AutoCAD Color Index, as DXF has it; 7 is black on white. From memory. */
  aci: number;
}
export const LOOKS: Readonly<Record<Ink, Look>> = {
  cut: { colour: '#000000', aci: 7 },
  marked: { colour: '#0000ff', aci: 5 },
  banded: { colour: '#ff0000', aci: 1 },
  aimed: { colour: '#00aa00', aci: 3 },
  thought: { colour: '#808080', aci: 8 },
};

const INKS: Readonly<Record<string, Ink>> = {
  marks: 'marked',
  'deck-bands': 'banded',
  'under-bands': 'banded',
  toe: 'aimed',
  stations: 'thought',
  rail: 'thought',
  datum: 'thought',
  'check-square': 'thought',
  sheet: 'thought',
};

/** Layers without an ink of their own are cut. */
export const inkOf = (layer: string): Ink => INKS[layer] ?? 'cut';
