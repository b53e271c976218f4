/** Tolerances that more than one floor asks by, each named for the question it answers, with its unit and its reason. */

/** Does a fair curve pass through its marks? The solver reaches 1e-11; a shaper's pencil is 0.5 mm wide. */
export const MARK_MET_mm = 1e-3;

/** The least distance kept between two marks of one curve: closer, a mark is a lever and not a measure. */
export const MARK_GAP_mm = 10;

/** How much hollow (in the solver's units) still counts as none: below the sight of any straightedge. */
export const NO_HOLLOW = 1e-5;
