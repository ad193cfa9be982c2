import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { ThemeProvider } from '../theme/theme';
import { Button } from './Button';
import { ChoiceRow } from './ChoiceRow';
import { PickField, TextField } from './Field';

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
      <PickField label="Start date" type="date" value="2027-03-09" onChange={() => undefined} />
    </>,
  );
  const title = screen.getByLabelText('Title');
  expect(title.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(title.getAttribute('aria-describedby')!)?.textContent).toBe(
    'Give it a name.',
  );
  expect(screen.getByLabelText<HTMLInputElement>('Start date').value).toBe('2027-03-09');
});
