import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { Mishap } from './Mishap.tsx';

afterEach(cleanup);

function Broken(): never {
  throw new RangeError('sectionOf: no such board');
}

describe('a screen that fails to draw', () => {
  it('says what happened, what is safe and what to do, in the place of a blank page', async () => {
    // React reports what it caught: not wanted in the output of a test that means it.
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    render(
      <MemoryRouter initialEntries={['/shelf']}>
        <Mishap>
          <Routes>
            <Route path="/shelf" element={<Broken />} />
            <Route path="/" element={<p>the rack</p>} />
          </Routes>
        </Mishap>
      </MemoryRouter>,
    );
    quiet.mockRestore();
    expect(screen.getByText('This screen could not be drawn')).toBeTruthy();
    expect(screen.getByText(/no such board.*kept as they were/)).toBeTruthy();
    // Without leaving the page: there may be no server to bring it back.
    fireEvent.click(screen.getByRole('button', { name: 'Back to the rack' }));
    expect(await screen.findByText('the rack')).toBeTruthy();
  });

  it('is not in the way of one that does not', () => {
    render(
      <Mishap>
        <p>the rack</p>
      </Mishap>,
    );
    expect(screen.getByText('the rack')).toBeTruthy();
  });
});
