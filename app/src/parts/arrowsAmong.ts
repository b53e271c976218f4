import type { KeyboardEvent } from 'react';

const WAYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * Arrows, Home and End go from one choice of a radio group to another, round and round; with `chosen` what is come to is chosen at once.
 * One of the group alone is reached with Tab.
 */
export const arrowsAmong =
  (chosen = false) =>
  (event: KeyboardEvent<HTMLElement>): void => {
    const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=radio]')];
    const at = radios.findIndex((radio) => radio === document.activeElement);
    const way = WAYS[event.key];
    const next =
      event.key === 'Home' ? 0 : event.key === 'End' ? radios.length - 1 : way === undefined ? undefined : at + way;
    if (at < 0 || next === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const to = radios[(next + radios.length) % radios.length];
    to.focus();
    if (chosen) to.click();
  };
