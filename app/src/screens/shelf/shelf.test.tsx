import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { ASSUMPTIONS, USUAL_WORKSHOP, usualShelf } from '@june-tide/core/make';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { Shelf } from './Shelf.tsx';

jest.setTimeout(30_000);

/** A short shelf: looking for things by their role takes long where there are many. */
const SHELF = usualShelf().filter(
  ({ length_mm }) => Math.abs(length_mm - 80 * 25.4) < 1 || Math.abs(length_mm - 110 * 25.4) < 1,
);

afterEach(cleanup);
beforeEach(() =>
  useShed.setState({
    settings: { ...USUAL_SETTINGS, workshop: USUAL_WORKSHOP },
    shelf: SHELF,
    records: {},
    riders: {},
    histories: {},
  }),
);

const open = (part: 'blanks' | 'prices' | 'figures') =>
  render(
    <MemoryRouter initialEntries={[`/shelf?part=${part}`]}>
      <Shelf />
    </MemoryRouter>,
  );
/** Presses a button by its label or its words. */
const press = (name: string) => fireEvent.click(screen.queryByLabelText(name) ?? screen.getByText(name));
const workshop = () => useShed.getState().settings.workshop;
const shelf = () => useShed.getState().shelf;

/** Types into a field and leaves it. */
function type(label: string, text: string): HTMLElement {
  const field = screen.getByLabelText(label);
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
  return field;
}

describe('the blanks', () => {
  it('are found by name', () => {
    open('blanks');
    fireEvent.change(screen.getByLabelText('Find a blank'), { target: { value: "9'2" } });
    const names = [...screen.getByLabelText('The shelf').querySelectorAll('tbody th')].map((cell) => cell.textContent);
    expect(names).toEqual(["9'2 low", "9'2 low"]);
    fireEvent.change(screen.getByLabelText('Find a blank'), { target: { value: 'straw' } });
    expect(screen.getByText(/No blank answers to that/)).toBeTruthy();
  });

  it('take a length as it is written and refuse what is none, each by itself', () => {
    open('blanks');
    press("Change 6'8 standard, PU");
    const id = 'shelf-6-8-pu';
    const now = () => shelf().find((blank) => blank.id === id)!;
    type('Width', '23 1/4');
    expect(now().width_mm).toBeCloseTo(23.25 * 25.4, 9);
    const before = now();
    type('Width', '90');
    expect(screen.getByText(/No blank is like that/)).toBeTruthy();
    expect(now()).toBe(before);
    expect(shelf()).toHaveLength(SHELF.length);
  });

  it('are added like the one that is open, and taken off with a way back', async () => {
    open('blanks');
    press("Change 6'8 standard, PU");
    press('Add a blank');
    expect(shelf()).toHaveLength(SHELF.length + 1);
    const added = shelf().at(-1)!;
    expect(added).toMatchObject({ name: "6'8 standard new", foam: 'pu', stock: 1 });
    press('Take it off the shelf');
    expect(shelf()).toHaveLength(SHELF.length);
    fireEvent.click(await screen.findByText('Undo'));
    expect(shelf().at(-1)).toEqual(added);
  });
});

describe('the prices', () => {
  it('are kept as they are typed, the margin as a share', () => {
    open('prices');
    type('An hour of hands', '31.5');
    type('Margin on the cost', '60');
    type('6 oz E-glass, a metre', '7');
    expect(workshop().prices).toMatchObject({ hour: 31.5, margin: 0.6 });
    expect(workshop().prices.cloth_m.e6).toBe(7);
    expect(workshop().prices.cloth_m.e4).toBe(USUAL_WORKSHOP.prices.cloth_m.e4);
  });

  it('have a list for the customer whose lines are named, priced, taken off and had back', async () => {
    open('prices');
    expect(screen.getByText(/Nothing on it yet/)).toBeTruthy();
    press('Add a line');
    type('Name on the list', 'Resin tint');
    expect(workshop().priceList).toMatchObject([{ name: 'Resin tint' }]);
    type('Price of Resin tint', '85');
    expect(workshop().priceList[0].price).toBe(85);
    press('Take Resin tint off the list');
    expect(workshop().priceList).toEqual([]);
    fireEvent.click(await screen.findByText('Undo'));
    expect(workshop().priceList).toMatchObject([{ name: 'Resin tint', price: 85 }]);
  });
});

describe('the figures', () => {
  it('stand each with its source, and the shop’s own is marked as that', () => {
    open('figures');
    const { words, source } = ASSUMPTIONS.hotCoat_gm2;
    const row = () => screen.getByText(words).closest('tr')!;
    expect(row().textContent).toContain(source);
    type(words, '240');
    expect(workshop().glass.hotCoat_gm2).toBe(240);
    expect(row().textContent).toContain('the shop’s own');
  });

  it('go back to the usual ones, and forward again by Undo', async () => {
    open('figures');
    type(ASSUMPTIONS.waste.words, '0.35');
    press('All as usual');
    expect(workshop().glass.waste).toBe(ASSUMPTIONS.waste.usual);
    fireEvent.click(await screen.findByText('Undo'));
    expect(workshop().glass.waste).toBe(0.35);
  });

  it('have tolerances in the shop’s inches, none of them nothing', () => {
    open('figures');
    type('Tolerance, half widths', '1/8');
    expect(workshop().tolerances.width_mm).toBeCloseTo(25.4 / 8, 9);
    type('Tolerance, thickness', '0');
    expect(screen.getByText('More than nothing, up to 1 15/16.')).toBeTruthy();
    expect(workshop().tolerances.thickness_mm).toBe(USUAL_WORKSHOP.tolerances.thickness_mm);
  });
});
