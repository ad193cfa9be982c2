import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { z } from 'zod';
import { Button } from '../primitives/Button';
import { ThemeProvider } from '../theme/theme';
import { FormSelect } from './FormSelect';
import { FormText } from './FormText';
import { useFormOf } from './useFormOf';

const schema = z
  .object({
    name: z.string().trim().min(1, 'Give it a name.'),
    weeks: z.string().regex(/^\d+$/, 'A number of weeks.'),
    kind: z.string(),
  })
  .transform(({ name, weeks }) => ({ name, weeks: Number(weeks) }));

type OnSaid = (said: z.output<typeof schema>) => void | Promise<void>;

function Form({ onSaid, says }: { onSaid: OnSaid; says: Parameters<typeof useFormOf>[2] }) {
  const start = { name: '', weeks: '4', kind: 'weeks' };
  const { control, typed, change, problems, submit, reset } = useFormOf(schema, start, says);
  return (
    <ThemeProvider>
      <FormText control={control} name="name" label="Name" />
      <FormText control={control} name="weeks" label="Weeks" />
      <FormSelect
        control={control}
        name="kind"
        label="Kind"
        options={[
          { value: 'weeks', label: 'Weeks' },
          { value: 'months', label: 'Months' },
        ]}
      />
      <output>{`${typed.kind} ${Object.keys(problems).join()}`}</output>
      <Button label="Save" onPress={() => submit(onSaid)} />
      <Button label="Blank" onPress={() => change({ weeks: '' })} />
      <Button label="Anew" onPress={() => reset({ name: 'Tides', weeks: '1', kind: 'months' })} />
    </ThemeProvider>
  );
}

const open = (says?: Parameters<typeof useFormOf>[2]) => {
  const said = jest.fn();
  render(<Form onSaid={said} says={says} />);
  return said;
};
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

test('nothing is said of a field that is half typed, before the form is handed on', async () => {
  open();
  await userEvent.type(field('Weeks'), 'x');
  await act(async () => {});
  expect(screen.queryByRole('alert')).toBeNull();
  await press('Save');
  expect(await screen.findAllByRole('alert')).toHaveLength(2);
});

test('what is handed on is what the schema makes of it', async () => {
  const said = open();
  await userEvent.type(field('Name'), '  Tides ');
  await press('Save');
  await waitFor(() => expect(said).toHaveBeenCalled());
  expect(said.mock.calls[0][0]).toEqual({ name: 'Tides', weeks: 4 });
});

test('what is wrong is said at its field, has the focus, and is gone once it is mended', async () => {
  const said = open();
  await press('Save');
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toBe('Give it a name.');
  expect(document.activeElement).toBe(field('Name'));
  expect(field('Name').getAttribute('aria-describedby')).toBe(alert.id);
  expect(said).not.toHaveBeenCalled();
  await userEvent.type(field('Name'), 'T');
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
});

test('a form that says what is wrong while it is typed does so by every letter', async () => {
  open('while-typing');
  await userEvent.type(field('Weeks'), 'x');
  expect((await screen.findByRole('alert')).textContent).toBe('A number of weeks.');
  await userEvent.type(field('Weeks'), '{Backspace}');
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
});

test('a second press while what the form says is still being taken does nothing; a later one does', async () => {
  const said = open();
  let taken = () => {};
  said.mockReturnValue(new Promise<void>((resolve) => (taken = resolve)));
  await userEvent.type(field('Name'), 'Tides');
  await press('Save');
  await press('Save');
  await waitFor(() => expect(said).toHaveBeenCalledTimes(1));
  await act(async () => taken());
  await press('Save');
  await waitFor(() => expect(said).toHaveBeenCalledTimes(2));
});

test('several fields set at once are looked through whole; fields set anew have nothing wrong with them', async () => {
  open();
  await press('Blank');
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('weeks name,weeks'));
  await press('Anew');
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('months '));
  expect(field('Name').value).toBe('Tides');
});
