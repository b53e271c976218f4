/** How the lines of a layer look: the same in SVG and in DXF. */
interface LayerLook {
  /** As SVG has it. */
  colour: string;
  /** AutoCAD Color Index, as DXF has it; 7 is black on white. From memory. */
  aci: number;
}

/** What is cut, what is drawn on the board, and what is only thought. */
const CUT: LayerLook = { colour: '#000000', aci: 7 };
const DRAWN: LayerLook = { colour: '#0000ff', aci: 5 };
const UNDER: LayerLook = { colour: '#00aa00', aci: 3 };
const PLACED: LayerLook = { colour: '#ff0000', aci: 1 };
const THOUGHT: LayerLook = { colour: '#808080', aci: 8 };

const LOOKS: Readonly<Record<string, LayerLook>> = {
  marks: DRAWN,
  'deck-bands': DRAWN,
  'under-bands': UNDER,
  bases: PLACED,
  stations: THOUGHT,
  toe: THOUGHT,
  rail: THOUGHT,
  datum: THOUGHT,
  'check-square': THOUGHT,
  sheet: THOUGHT,
};

/** Layers without a look of their own are cut. */
export const lookOf = (layer: string): LayerLook => LOOKS[layer] ?? CUT;
export const isCut = (layer: string): boolean => lookOf(layer) === CUT;
