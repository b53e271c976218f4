import { Tooltip } from 'antd';
import type { ReactNode } from 'react';
import { GLOSSARY, type Word } from '@june-tide/core/document';

/** What is meant by a word of the trade. */
export const saysOf = (word: Word | undefined): string | undefined => word && GLOSSARY[word].says;

/** A word of the trade: what is meant by it stands where it is pointed at or touched. The list of all is behind the key G. */
export function Term({ of, children }: { of: Word; children?: ReactNode }) {
  const { word, says } = GLOSSARY[of];
  return (
    <Tooltip title={says} mouseEnterDelay={0.4} trigger={['hover', 'click']}>
      <span className="term" data-term={of}>
        {children ?? word}
      </span>
    </Tooltip>
  );
}
