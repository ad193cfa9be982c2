import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { ThemeProvider } from '../theme/theme';
import { Button } from './Button';
import { ChoiceRow } from './ChoiceRow';
import { DateField } from './dates/DateField';
import { TextField } from './TextField';
import { PanelHead } from './PanelHead';
import { PressField } from './PressField';
import { Sheet } from './Sheet';

const show = (element: React.ReactElement) => render(<ThemeProvider>{element}</ThemeProvider>);

test('a button with an icon alone is named by its label, pressed by key and pointer, and rests when disabled', async () => {
  const pressed = jest.fn();
  show(
    <>
      <Button icon="close" iconOnly label="Close" onPress={pressed} />
      <Button label="Save" disabled onPress={pressed} />
    </>,
  );
  const close = screen.getByRole('button', { name: 'Close' });
  await userEvent.click(close);
  close.focus();
  await userEvent.keyboard('{Enter}');
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
  expect(pressed).toHaveBeenCalledTimes(2);
});

test('words of a button that rests are in the ink of the ground around it', () => {
  const inkOf = (label: string) => getComputedStyle(screen.getByText(label)).color;
  show(
    <>
      <Button label="Keep" kind="primary" disabled onPress={() => undefined} />
      <Button label="Let be" disabled onPress={() => undefined} />
      <Button label="Save" kind="primary" onPress={() => undefined} />
    </>,
  );
  expect(inkOf('Keep')).toBe(inkOf('Let be'));
  expect(inkOf('Save')).not.toBe(inkOf('Keep'));
});

test('a dialog is one from its first moment, and still one under another', () => {
  show(
    <Sheet title="Columns" closeLabel="Close" onClose={() => undefined}>
      <Sheet title="Order" closeLabel="Close" onClose={() => undefined}>
        <Button label="First" onPress={() => undefined} />
      </Sheet>
    </Sheet>,
  );
  const layers = [...document.querySelectorAll('[aria-modal]')];
  expect(layers.map((layer) => [layer.getAttribute('role'), layer.getAttribute('aria-label')])).toEqual([
    ['dialog', 'Columns'],
    ['dialog', 'Order'],
  ]);
});

test('a choice says which of its answers is taken', async () => {
  function Choice() {
    const [value, setValue] = useState<'a' | 'b'>('a');
    return (
      <ChoiceRow
        label="Counts as"
        choices={[
          { value: 'a', label: 'busy' },
          { value: 'b', label: 'free' },
        ]}
        value={value}
        onChange={setValue}
      />
    );
  }
  show(<Choice />);
  expect(screen.getByRole('radio', { name: 'busy' }).getAttribute('aria-checked')).toBe('true');
  await userEvent.click(screen.getByRole('radio', { name: 'free' }));
  expect(screen.getByRole('radio', { name: 'busy' }).getAttribute('aria-checked')).toBe('false');
  expect(screen.getByRole('radio', { name: 'free' }).getAttribute('aria-checked')).toBe('true');
});

test('a field with a problem is marked and described by it', () => {
  show(
    <>
      <TextField label="Title" value="" onChangeText={() => undefined} error="Give it a name." />
      <DateField label="Start date" value="2027-03-09" onChange={() => undefined} />
    </>,
  );
  const title = screen.getByLabelText('Title');
  expect(title.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(title.getAttribute('aria-describedby')!)?.textContent).toBe(
    'Give it a name.',
  );
  expect(screen.getByLabelText<HTMLInputElement>('Start date').value).toBe('Tue, Mar 9, 2027');
});

test('a field that opens a chooser is named with its value, and tells its problem', async () => {
  const opened = jest.fn();
  show(
    <PressField
      label="Repeat"
      name="Change the repeat: Every Tuesday"
      icon="autorenew"
      text="Every Tuesday"
      trailing={null}
      error="The last date is before the start."
      onPress={opened}
    />,
  );
  const field = screen.getByRole('button', { name: 'Change the repeat: Every Tuesday' });
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByRole('alert').textContent).toBe('The last date is before the start.');
  await userEvent.click(field);
  expect(opened).toHaveBeenCalledTimes(1);
});

test('the head of a panel closes it, and ends it where it may', async () => {
  const closed = jest.fn();
  const done = jest.fn();
  const { rerender } = show(
    <PanelHead title="Repeat" onClose={closed} action={{ label: 'Done', onPress: done, disabled: true }} />,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Done' }).disabled).toBe(true);
  rerender(
    <ThemeProvider>
      <PanelHead title="Repeat" onClose={closed} action={{ label: 'Done', onPress: done }} />
    </ThemeProvider>,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Done' }));
  expect([closed.mock.calls.length, done.mock.calls.length]).toEqual([1, 1]);
  expect(screen.getByRole('heading', { name: 'Repeat' })).toBeTruthy();
});
