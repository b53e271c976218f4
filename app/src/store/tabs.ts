import * as z from 'zod';

/** The tables of the shed that windows share. */
export const TABLES = ['boards', 'riders', 'blanks', 'settings'] as const;
export type TableName = (typeof TABLES)[number];

/** What one tab tells the others, after it is on disk, where they read it: what the shop has is the same in every tab. */
const messageSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('rows'), table: z.enum(TABLES), ids: z.array(z.string()) }),
  z.object({ kind: z.literal('everything') }),
]);
export type TabMessage = z.infer<typeof messageSchema>;

const channel = opened();

/** Where the browser refuses a channel, each window learns of the others' changes when it writes. */
function opened(): BroadcastChannel | undefined {
  try {
    return typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('june-tide');
  } catch {
    return undefined;
  }
}

export function tellTabs(message: TabMessage): void {
  try {
    channel?.postMessage(message);
  } catch {
    // It is on disk; the others find it when they write.
  }
}

/** Calls `take` with each message of another tab that can be read; one of a newer app that cannot is passed over. */
export function onTabMessage(take: (message: TabMessage) => void): void {
  channel?.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    const read = messageSchema.safeParse(data);
    if (read.success) take(read.data);
  });
}
