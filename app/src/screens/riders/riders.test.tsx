import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { DEMO_RIDERS, demoRecords } from '@june-tide/core/demo';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { Riders } from './Riders.tsx';

const byId = <T extends { id: string }>(items: readonly T[]) =>
  Object.fromEntries(items.map((item) => [item.id, item]));

afterEach(cleanup);
beforeEach(() =>
  useShed.setState({
    settings: USUAL_SETTINGS,
    riders: byId(DEMO_RIDERS),
    records: byId(demoRecords('2026-11-25')),
    histories: {},
  }),
);

function open(path: string) {
  render(
    <MemoryRouter initialEntries={[path]}>
      <Routes>
        <Route path="/riders" element={<Riders />} />
        <Route path="/riders/:id" element={<Riders />} />
      </Routes>
    </MemoryRouter>,
  );
}

describe('the riders', () => {
  it('stand by name with their weight and the number of their boards', () => {
    open('/riders');
    const links = within(screen.getByRole('navigation', { name: 'All riders' })).getAllByRole('link');
    const said = links.map((link) => link.textContent);
    expect(said).toEqual([...said].sort());
    expect(said).toContain('Maren76 kg, 2 boards');
    expect(said).toContain('Kit69 kg, 2 boards');
  });

  it('are found, and asked for in words when nobody answers', () => {
    open('/riders');
    fireEvent.change(screen.getByLabelText('Find a rider'), { target: { value: 'xy' } });
    expect(screen.getByText('Nobody of that name.')).toBeTruthy();
  });

  it('show every board with its numbers and what changed from the one before', () => {
    open('/riders/maren');
    const card = screen.getByRole('region', { name: 'Rider’s card' });
    expect(card.textContent).toContain('0.41 L per kg at 76 kg');
    expect(within(card).getAllByRole('listitem')).toHaveLength(2);
    expect(within(card).getByText(/Against Slack Water 104/).textContent).toMatch(/2 longer.*1\/4 wider.*\+1\.9 L/);
  });

  it('are put away and had back, their boards untouched', async () => {
    open('/riders/maren');
    const boards = useShed.getState().records;
    fireEvent.click(screen.getByRole('button', { name: 'Put the card away' }));
    expect(useShed.getState().riders.maren).toBeUndefined();
    expect(useShed.getState().records).toBe(boards);
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(useShed.getState().riders.maren.name).toBe('Maren');
  });
});
