import * as z from 'zod';
import { blankSchema, shelfSchema } from '@june-tide/core/make';
import { boardRecordSchema } from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';

/** What one tab tells the others, after it is on disk: what the shop has is the same in every tab. */
const messageSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('board'), record: boardRecordSchema }),
  z.object({ kind: z.literal('boardGone'), id: z.string() }),
  z.object({ kind: z.literal('rider'), rider: riderSchema }),
  z.object({ kind: z.literal('riderGone'), id: z.string() }),
  z.object({ kind: z.literal('shelf'), put: shelfSchema, gone: z.array(blankSchema.shape.id) }),
  z.object({ kind: z.literal('settings') }),
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
