import { Button, type FormInstance } from 'antd';
import { useState } from 'react';
import { sameData } from '@june-tide/core/document';
import { draftOf, dropDraft, keepDraft } from '../store/drafts.ts';

export interface FormDraft<V extends object> {
  /** What stands in the fields as the form opens. */
  values: V;
  /** Did it open with something that was typed before and not kept? */
  isTyped: boolean;
  /** Told of each change by the form. */
  typed: (change: unknown, all: object) => void;
  drop: () => void;
  /** Puts the fields back as they are kept. */
  afresh: () => void;
}

/** What is typed into a form of fields and not kept yet, there again when the form is. @param form which form, of which thing. */
export function useFormDraft<V extends object>(form: string, fields: FormInstance, kept: V): FormDraft<V> {
  const [opened, setOpened] = useState<V>(() => ({ ...kept, ...draftOf<Partial<V>>(form, {}) }));
  return {
    values: opened,
    isTyped: !sameData(opened, kept),
    typed: (_, all) => keepDraft<object>(form, all, kept),
    drop: () => dropDraft(form),
    afresh: () => {
      dropDraft(form);
      setOpened(kept);
      fields.setFieldsValue(
        Object.fromEntries(Object.keys(fields.getFieldsValue(true) as object).map((key) => [key, undefined])),
      );
      fields.setFieldsValue(kept);
    },
  };
}

/** Says that what stands in the fields was typed before and not kept. */
export function TypedBefore<V extends object>({ draft }: { draft: FormDraft<V> }) {
  if (!draft.isTyped) return null;
  return (
    <p className="row-of-tools above-0" role="status">
      What you typed before is here still, not kept yet.
      <Button size="small" onClick={draft.afresh}>
        Start afresh
      </Button>
    </p>
  );
}
