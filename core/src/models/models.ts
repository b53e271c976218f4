import type { Board } from '../document/schema.ts';
import { FISH_RECIPES } from './fishRecipes.ts';
import { GUN_RECIPES } from './gunRecipes.ts';
import { LONG_RECIPES } from './longRecipes.ts';
import { boardOf } from './recipe.ts';
import { SHORT_RECIPES } from './shortRecipes.ts';

let made: readonly Board[] | undefined;

/** The starting models, each a whole board. */
export function models(): readonly Board[] {
  made ??= [...SHORT_RECIPES, ...FISH_RECIPES, ...LONG_RECIPES, ...GUN_RECIPES].map(boardOf);
  return made;
}

/** A model by name, in any case; undefined when there is none. */
export function modelNamed(name: string): Board | undefined {
  return models().find((board) => board.name.toLowerCase() === name.trim().toLowerCase());
}
