import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { USUAL_WORKSHOP } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import { standingOf } from '../../store/derived.ts';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { today } from '../../store/today.ts';
import type { OnLine } from './onLine.ts';
import { StagesForm } from './StagesForm.tsx';

jest.setTimeout(30_000);
afterEach(cleanup);
beforeEach(() => useShed.setState({ settings: { ...USUAL_SETTINGS, workshop: USUAL_WORKSHOP } }));

const stages = () => useShed.getState().settings.workshop.stages;
const names = () => stages().map(({ name }) => name);
const open = (boards: readonly OnLine[] = []) => render(<StagesForm open onClose={() => undefined} boards={boards} />);

/** Presses a button or a box by its label or its words. */
const press = (label: string) => fireEvent.click(screen.queryByLabelText(label) ?? screen.getByText(label));

function name(i: number, text: string): void {
  const field = screen.getByLabelText(`Name of stage ${i}`);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
}

describe('the stages of the shop', () => {
  it('are renamed; an empty name is no name', () => {
    open();
    name(3, 'Plane and sand');
    expect(names()[2]).toBe('Plane and sand');
    name(3, '   ');
    expect(names()[2]).toBe('Plane and sand');
    // Its id stays, and with it the boards that stand there.
    expect(stages()[2].id).toBe('shape');
  });

  it('take hours and days of waiting, and no nonsense', () => {
    open();
    const hours = screen.getByLabelText('Hours of Glass');
    fireEvent.change(hours, { target: { value: '4.5' } });
    fireEvent.change(screen.getByLabelText('Days of waiting after Glass'), { target: { value: '3' } });
    expect(stages()[3]).toMatchObject({ hands_h: 4.5, wait_days: 3 });
    fireEvent.change(hours, { target: { value: 'some' } });
    expect(stages()[3].hands_h).toBe(4.5);
  });

  it('change places, are added and taken out, and had back', async () => {
    open();
    press('Fins earlier');
    expect(names().slice(4, 6)).toEqual(['Fins', 'Sand']);
    press('One more stage');
    expect(names()).toHaveLength(9);
    press('Take Finish out');
    expect(names()).not.toContain('Finish');
    fireEvent.click(await screen.findByText('Undo'));
    expect(names()).toContain('Finish');
  });

  it('are the usual eight again, in the fields too', () => {
    open();
    name(1, 'Talk');
    press('The usual eight');
    expect(names()[0]).toBe('Brief');
    expect(screen.getByLabelText<HTMLInputElement>('Name of stage 1').value).toBe('Brief');
  });

  it('keep a stage that boards stand at', () => {
    const record = {
      id: 'b',
      number: 1,
      board: modelNamed('Slack Water')!,
      riderId: null,
      rides: [],
      createdAt: '',
      updatedAt: '',
      order: { stage: 'sand', on: today() },
    };
    open([{ record, standing: standingOf(record, USUAL_WORKSHOP, today())! }]);
    expect(screen.getByLabelText<HTMLButtonElement>('Take Sand out').disabled).toBe(true);
    expect(screen.getByLabelText<HTMLButtonElement>('Take Fins out').disabled).toBe(false);
  });
});

describe('the days and hands of the shop', () => {
  it('are weekdays, one of them at the least, and people', () => {
    open();
    press('Sat');
    expect(useShed.getState().settings.workshop.weekdays).toEqual([1, 2, 3, 4, 5, 6]);
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']) {
      press(day);
    }
    expect(useShed.getState().settings.workshop.weekdays).toEqual([6]);
    fireEvent.change(screen.getByLabelText('People'), { target: { value: '4' } });
    expect(useShed.getState().settings.workshop.people).toBe(4);
  });
});
