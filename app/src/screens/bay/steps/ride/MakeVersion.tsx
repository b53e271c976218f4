import { Button, Input } from 'antd';
import { useMemo, useState } from 'react';
import { changesBetween, changesSentence } from '@june-tide/core/edit';
import { versionsOf, workingDiffers } from '@june-tide/core/record';
import { BuiltText, useLengthStyle } from '../../../../parts/Measure.tsx';
import { useDraft } from '../../../../parts/useDraft.ts';
import { makeVersion } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

/** The board as it stands, against the version it is drawn from; made a version with a reason. */
export function MakeVersion() {
  const { record } = useBay();
  const style = useLengthStyle();
  const [why, setWhy, dropWhy] = useDraft(`version:${record.id}`, '');
  const [refused, setRefused] = useState<string>();
  const from = versionsOf(record).find(({ id }) => id === record.from);
  const differs = workingDiffers(record);
  const { board } = record;
  const said = useMemo(
    () =>
      from && differs
        ? { count: changesBetween(from.board, board).length, words: changesSentence(from.board, board, style) }
        : undefined,
    [from, differs, board, style],
  );
  if (!differs)
    return (
      <p className="quiet above-0" data-testid="working">
        What is worked on is version {from?.no}, unchanged.
      </p>
    );
  return (
    <form
      className="stack-6"
      onSubmit={(event) => {
        event.preventDefault();
        const made = makeVersion(record.id, why.trim());
        setRefused(made.ok ? undefined : made.issues[0]?.words);
        if (made.ok) dropWhy();
      }}
    >
      {said && (
        <p className="above-0 below-2" data-testid="working">
          Since version {from?.no}: <BuiltText text={said.words} />
          {said.count > 1 && (
            <span className="quiet"> {said.count} changes at once: which of them will the ride be of?</span>
          )}
        </p>
      )}
      {!from && (
        <p className="quiet above-0 below-2">
          No version yet: make one before it is cut or ridden, and it stays as it was.
        </p>
      )}
      <div className="in-a-row">
        <Input
          aria-label="Why"
          placeholder="Why, in a few words"
          value={why}
          maxLength={400}
          onChange={(e) => setWhy(e.target.value)}
        />
        <Button htmlType="submit">Make a version</Button>
      </div>
      {refused && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
    </form>
  );
}
