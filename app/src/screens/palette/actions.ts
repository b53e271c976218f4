import type { BoardRecord } from '@june-tide/core/record';
import { TWELVE_mm } from '@june-tide/core/measure';
import { changeSettings, redo, undo, useShed } from '../../store/shed.ts';
import {
  drawTogether,
  goToRoom,
  moveHookOn,
  pinRoom,
  showKeys,
  showStations,
  showWords,
  turnLine,
  useSession,
} from '../bay/session.ts';
import { beginGuide } from '../bay/guide/guide.ts';
import { STEP_KEYS, STEP_WORDS, STEPS } from '../bay/useBay.ts';

/** Something that can be done from the palette. */
export interface Action {
  group: 'On this board' | 'Steps' | 'Screens' | 'Boards';
  name: string;
  /** The key that does it without the palette. */
  key?: string;
  /** Other words it is found by. */
  also?: string;
  run: () => void;
}

/** So many boards are listed at once. */
const MOST_BOARDS = 12;

/** All that can be done where the page stands; `go` leads to an address. */
export function actionsAt(path: string, go: (address: string) => void): Action[] {
  const [, place, id] = path.split('/');
  const shed = useShed.getState();
  const record = place === 'bay' ? shed.records[id] : undefined;
  return [...(record ? onBoard(record, go) : []), ...screens(go)];
}

function onBoard(record: BoardRecord, go: (address: string) => void): Action[] {
  const { id, board } = record;
  const { length_mm } = board;
  const { inRoom, pinned } = useSession.getState();
  const history = useShed.getState().histories[id];
  const [last, next] = [history?.past.at(-1)?.name, history?.future[0]?.name];
  const here = (name: string, key: string | undefined, run: () => void, also?: string): Action => ({
    group: 'On this board',
    name,
    run,
    ...(key ? { key } : {}),
    ...(also ? { also } : {}),
  });
  return [
    ...(last ? [here(`Undo: ${last}`, 'Ctrl Z', () => undo(id))] : []),
    ...(next ? [here(`Redo: ${next}`, 'Ctrl Shift Z', () => redo(id))] : []),
    here(inRoom ? 'Back to the drawing' : 'Into the room', 'R', () => goToRoom(!inRoom), '3D solid turn'),
    here(
      pinned ? 'Take the small room off' : 'A small room beside the drawing',
      'P',
      () => pinRoom(!pinned),
      '3D solid pin',
    ),
    here('Station table', 'S', () => showStations(true), 'widths thickness numbers'),
    here('Words of the trade', 'G', () => showWords(true), 'glossary meaning'),
    here('Keys', '?', () => showKeys(true), 'shortcuts help'),
    here('Feet and fins on the plan', 'F', () => drawTogether(!useSession.getState().together), 'stance pad plug'),
    here('Rail line over the profile', 'L', () => turnLine('rail'), 'straight run'),
    here('Concave line over the profile', 'C', () => turnLine('concave')),
    here('Hook to nose 12', 'N', () => moveHookOn(length_mm, length_mm - TWELVE_mm)),
    here('Hook to tail 12', 'T', () => moveHookOn(length_mm, TWELVE_mm)),
    here('Hook to the wide point', 'W', () => moveHookOn(length_mm, length_mm / 2 + board.outline.widePoint_mm)),
    here('This model through its sizes', undefined, () => go(`/sizes/${id}`), 'size run smaller larger'),
    ...STEPS.map((step, i): Action => ({
      group: 'Steps',
      name: STEP_WORDS[step],
      key: STEP_KEYS[i],
      run: () => go(`/bay/${id}/${step}`),
    })),
  ];
}

function screens(go: (address: string) => void): Action[] {
  const { light } = useShed.getState().settings;
  const screen = (name: string, address: string, also?: string): Action => ({
    group: 'Screens',
    name,
    run: () => go(address),
    ...(also ? { also } : {}),
  });
  return [
    screen('Rack', '/', 'home all boards'),
    screen('Start a board', '/start', 'new model'),
    screen('Measure a board', '/measured', 'tape callipers straightedge bring in'),
    { group: 'Screens', name: 'A first board, guided', also: 'tour help learn begin', run: () => go(beginGuide()) },
    screen('Riders', '/riders', 'people'),
    screen('Family tree', '/family', 'parents copies descent'),
    screen('Line', '/line', 'orders dates schedule'),
    screen('Shelf', '/shelf', 'blanks fins cloth'),
    screen('Settings', '/settings', 'units schools'),
    screen('Back-up', '/keeping', 'restore safe store'),
    {
      group: 'Screens',
      name: light === 'day' ? 'Night light' : 'Day light',
      also: 'dark theme colours',
      run: () => changeSettings({ light: light === 'day' ? 'night' : 'day' }),
    },
  ];
}

/** Boards of the rack by some of their name, number or rider, to be opened; none for nothing typed. */
export function boardsFound(sought: string, go: (address: string) => void): Action[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const { records, riders } = useShed.getState();
  const found: Action[] = [];
  for (const { id, board, number, riderId } of Object.values(records)) {
    const rider = riderId === null ? '' : (riders[riderId]?.name ?? '');
    const text = `${board.name} ${number} ${rider}`.toLowerCase();
    if (!words.every((word) => text.includes(word))) continue;
    found.push({
      group: 'Boards',
      name: `${board.name} ${number}`,
      also: rider,
      run: () => go(`/bay/${id}/outline`),
    });
    if (found.length === MOST_BOARDS) break;
  }
  return found;
}

/** How well a name fits what was typed, 0 to 1: begun with it, a word begun with it, every word of it somewhere; or not at all. */
export function fitOf(name: string, also: readonly string[], typed: string): number {
  const [low, sought] = [name.toLowerCase(), typed.trim().toLowerCase()];
  if (low === sought) return 1;
  if (low.startsWith(sought)) return 0.9;
  if (low.split(/\s+/).some((word) => word.startsWith(sought))) return 0.8;
  const all = `${low} ${also.join(' ').toLowerCase()}`;
  return sought.split(/\s+/).every((word) => all.includes(word)) ? 0.5 : 0;
}
