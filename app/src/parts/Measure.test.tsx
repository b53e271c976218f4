import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, render } from '@testing-library/react';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../store/shed.ts';
import { BuiltText, Measure } from './Measure.tsx';

afterEach(cleanup);
beforeEach(() => useShed.setState({ settings: USUAL_SETTINGS }));

/** What a screen reader reads, and what is drawn. */
function said(container: HTMLElement) {
  const plain = container.querySelector('.visually-hidden')?.textContent;
  const drawn = container.querySelector('[aria-hidden]');
  return { plain, over: drawn?.querySelectorAll('.over').length, text: drawn?.textContent };
}

describe('a measure', () => {
  it('is read plainly and drawn with its fraction built', () => {
    const { container } = render(<Measure mm={(19 + 3 / 8) * 25.4} />);
    expect(said(container)).toEqual({ plain: '19 3/8', over: 1, text: '193⁄8' });
  });

  it('has feet where it is a length, and a sign where it is a difference', () => {
    expect(said(render(<Measure mm={74 * 25.4} feet />).container).plain).toBe("6'2");
    expect(said(render(<Measure mm={-25.4 / 8} signed />).container).plain).toBe('−1/8');
  });

  it('follows the shop’s units', () => {
    useShed.setState({ settings: { ...USUAL_SETTINGS, lengthStyle: 'mm' } });
    expect(said(render(<Measure mm={505} />).container).plain).toBe('505 mm');
  });
});

describe('built text', () => {
  const built = (text: string) => said(render(<BuiltText text={text} />).container);

  it('builds fractions of an inch', () => {
    expect(built('single concave 3/16')).toMatchObject({ plain: 'single concave 3/16', over: 1 });
    expect(built('5 1/8 and 2 3/8').over).toBe(2);
  });

  it('leaves rails and layers of glass as they are written', () => {
    for (const text of ['60/40 to 80/20', '4+4/4 oz', '6+4/6 oz', "6'8 standard, 4+4/4 oz", '6/4 oz']) {
      expect(built(text)).toMatchObject({ over: 0, text });
    }
  });
});
