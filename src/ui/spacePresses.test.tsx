import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Check } from './primitives/Check';
import { RadioList } from './primitives/RadioList';
import { installSpacePresses } from './spacePresses';
import { ThemeProvider } from './theme/theme';

beforeAll(() => installSpacePresses(document));

test('the space bar presses a box and a choice once, and is no key of anything beyond', async () => {
  const checked = jest.fn();
  const chosen = jest.fn();
  const beyond = jest.fn();
  window.addEventListener('keydown', beyond);
  render(
    <ThemeProvider>
      <Check label="Show what is done" checked={false} onChange={checked} />
      <RadioList
        label="Which"
        value="one"
        choices={[
          { value: 'one', label: 'One' },
          { value: 'every', label: 'Every one' },
        ]}
        onChange={chosen}
      />
    </ThemeProvider>,
  );
  screen.getByRole('checkbox', { name: 'Show what is done' }).focus();
  await userEvent.keyboard(' ');
  expect(checked.mock.calls).toEqual([[true]]);
  screen.getByRole('radio', { name: 'Every one' }).focus();
  await userEvent.keyboard(' ');
  expect(chosen.mock.calls).toEqual([['every']]);
  expect(beyond).not.toHaveBeenCalled();
  window.removeEventListener('keydown', beyond);
});
