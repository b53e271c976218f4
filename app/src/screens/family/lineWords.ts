import { PARENT_WORDS, type TreeLine } from '@june-tide/core/record';

/** What a line says, from the child's side. */
export const lineWords = ({ kind }: TreeLine, parent: string): string => `${PARENT_WORDS[kind]} ${parent}`;
