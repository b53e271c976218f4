import { merged, writtenOver } from '@june-tide/core/document';
import type { Workshop } from '@june-tide/core/make';
import { type Settings, settingsFrom, settingsSchema } from '@june-tide/core/record';
import { db } from './db.ts';
import { type EditResult, queue, useShed } from './shedState.ts';
import { tellTabs } from './tabs.ts';

/** The shop's own choices: what each window changed is kept, over what is stored. */

/** Settings as they are on disk, as far as this window knows: what a change is told from. */
let onDisk: Settings | undefined;

/** The settings as they lie in the store, in the place of those that are shown. */
export function takeSettings(stored: unknown): void {
  onDisk = settingsFrom(stored);
  useShed.setState({ settings: onDisk });
}

/** Another window wrote settings: what lies on disk now is taken, for its word may come late, under what is not written yet. */
export async function takeSettingsOf(): Promise<void> {
  const row: unknown = await db.settings.get('shop');
  if (row === undefined) return;
  const theirs = settingsFrom(row);
  const base = onDisk;
  onDisk = theirs;
  useShed.setState(({ settings }) => ({ settings: both(base, settings, theirs) }));
}

/** Both changes of the settings; ours where they are of the same. */
function both(base: Settings | undefined, ours: Settings, theirs: Settings): Settings {
  if (!base) return ours;
  const read = settingsSchema.safeParse(merged(base, ours, theirs, []));
  return read.success ? read.data : ours;
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
    const { ours, now } = await db.transaction('rw', db.settings, async () => {
      const row: unknown = await db.settings.get('shop');
      const { settings: ours } = useShed.getState();
      const theirs = row === undefined ? undefined : settingsFrom(row);
      const now = theirs ? both(onDisk, ours, theirs) : ours;
      // Fields of a newer app that lie there stay.
      await db.settings.put(writtenOver(row, theirs, now) as Settings);
      return { ours, now };
    });
    onDisk = now;
    // What was changed while it was written stays.
    useShed.setState(({ settings }) => ({ settings: settings === ours ? now : both(ours, settings, now) }));
    tellTabs({ kind: 'settings' });
  });
  return { ok: true };
}

export function changeWorkshop(change: Partial<Workshop>): EditResult {
  return changeSettings({ workshop: { ...useShed.getState().settings.workshop, ...change } });
}
