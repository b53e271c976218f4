import { Segmented } from 'antd';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';

/**
 * The pages of a part that does not fit the bench at once, by name and words (none: not offered): which is open, and what opens another. The
 * first, or `usual`, is open until another is; kept in the address, so that a reload finds it again.
 */
export function usePages<Page extends string>(
  label: string,
  words: Readonly<Record<Page, string | undefined>>,
  usual?: NoInfer<Page>,
): { page: Page; tabs: ReactNode } {
  const [search, setSearch] = useSearchParams();
  const pages = Object.keys(words) as Page[];
  const asked = search.get('page');
  const page = pages.find((name) => name === asked) ?? usual ?? pages[0];
  const open = (next: Page) =>
    setSearch(
      (now) => {
        now.set('page', next);
        return now;
      },
      { replace: true },
    );
  const tabs = (
    <Segmented<Page>
      aria-label={label}
      className="no-print"
      size="small"
      value={page}
      onChange={open}
      options={pages.filter((name) => words[name] !== undefined).map((value) => ({ value, label: words[value] }))}
    />
  );
  return { page, tabs };
}
