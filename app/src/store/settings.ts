import { writtenOver } from '@june-tide/core/document';
import type { Workshop } from '@june-tide/core/make';
import { type Settings, settingsFrom, settingsSchema } from '@june-tide/core/record';
import { db } from './db.ts';
import { type EditResult, queue, useShed } from './shedState.ts';
import { tellTabs } from './tabs.ts';

/** The shop's own choices: only what changed is written, over what is stored. */

/** Settings as they are on disk, as far as this tab knows: what a change is told from. */
let onDisk: Settings | undefined;

export function takeSettings(stored: unknown): void {
  onDisk = settingsFrom(stored);
  useShed.setState({ settings: onDisk });
}

/** Changes settings; what could not be read again is refused with its limits, and nothing changes. */
export function changeSettings(change: Partial<Settings>): EditResult {
  const settings = { ...useShed.getState().settings, ...change };
  const read = settingsSchema.safeParse(settings);
  if (!read.success) {
    return {
      ok: false,
      issues: read.error.issues.map((issue) => ({
        code: issue.code,
        path: issue.path.join('.'),
        words: `that cannot be kept: ${issue.message.toLowerCase()}`,
      })),
    };
  }
  useShed.setState({ settings });
  queue.put('settings', async () => {
    const { settings: after } = useShed.getState();
    const written = await db.transaction('rw', db.settings, async () => {
      const stored: unknown = await db.settings.get('shop');
      const next = writtenOver(stored, onDisk, after) as Settings;
      await db.settings.put(next);
      return next;
    });
    onDisk = after;
    tellTabs({ kind: 'settings', stored: written });
  });
  return { ok: true };
}

export function changeWorkshop(change: Partial<Workshop>): EditResult {
  return changeSettings({ workshop: { ...useShed.getState().settings.workshop, ...change } });
}
