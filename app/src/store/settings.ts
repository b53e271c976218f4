import type { Workshop } from '@june-tide/core/make';
import { type Settings, settingsFrom, settingsSchema } from '@june-tide/core/record';
import { plainTable } from './rows.ts';
import { type EditResult, useShed } from './shedState.ts';

/** The shop's own choices: what each window changed is kept, over what is stored. */

export const settingsTable = plainTable<Settings>({
  name: 'settings',
  schema: settingsSchema,
  read: settingsFrom,
  shown: () => useShed.getState().settings,
  show: (_id, settings) => {
    if (settings) useShed.setState({ settings });
  },
});

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
  settingsTable.change(new Map([[settings.id, settings]]));
  return { ok: true };
}

export function changeWorkshop(change: Partial<Workshop>): EditResult {
  return changeSettings({ workshop: { ...useShed.getState().settings.workshop, ...change } });
}
