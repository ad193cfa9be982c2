import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { PartBoundary } from './PartBoundary';
import { ThemeProvider } from './theme/theme';

let isBroken = true;

/** A part that can't be drawn, for as long as it is broken. */
function Part() {
  if (isBroken) throw new Error('a time that can’t be read');
  return <p>the part</p>;
}

const shown = (showing?: string, leave?: { label: string; onPress: () => void }) => (
  <ThemeProvider>
    <p>the rest</p>
    <PartBoundary name="Week" showing={showing} leave={leave}>
      <Part />
    </PartBoundary>
  </ThemeProvider>
);

beforeEach(() => {
  isBroken = true;
  // It is told to the console as well, for who looks into it.
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => jest.restoreAllMocks());

test('a part that fails is said to have failed; the rest of the page stays, and it can be tried again', async () => {
  render(shown());
  expect(screen.getByText('the rest')).toBeTruthy();
  expect(screen.getByRole('alert').textContent).toContain('Week');
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByRole('alert')).toBeTruthy();
  isBroken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('the part')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});

test('with something else to show it is tried by itself', () => {
  const { rerender } = render(shown('9 March'));
  expect(screen.getByRole('alert')).toBeTruthy();
  isBroken = false;
  rerender(shown('9 March'));
  expect(screen.getByRole('alert')).toBeTruthy();
  rerender(shown('10 March'));
  expect(screen.getByText('the part')).toBeTruthy();
});

test('what it was showing can be let go of', async () => {
  const onPress = jest.fn(() => {
    isBroken = false;
  });
  render(shown(undefined, { label: 'Keep for later', onPress }));
  await userEvent.click(screen.getByRole('button', { name: 'Keep for later' }));
  expect(onPress).toHaveBeenCalledTimes(1);
  expect(screen.getByText('the part')).toBeTruthy();
});
