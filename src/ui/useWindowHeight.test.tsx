import { act, render, screen } from '@testing-library/react';
import { useWindowHeight } from './useWindowHeight';

function Shown() {
  return (
    <>
      <p data-testid="height">{useWindowHeight()}</p>
      <input aria-label="Entry" />
      <button type="button">Elsewhere</button>
    </>
  );
}

/** Makes the window so high, as the browser tells it. */
const resize = (height: number) =>
  act(() => {
    Object.defineProperty(document.documentElement, 'clientHeight', { value: height, configurable: true });
    Object.defineProperty(window, 'innerHeight', { value: height, configurable: true });
    window.dispatchEvent(new Event('resize'));
  });
const height = () => screen.getByTestId('height').textContent;

beforeEach(() => resize(800));

test.each([
  [800, 'full'],
  [560, 'full'],
  [559, 'low'],
  [390, 'low'],
  [339, 'least'],
  [256, 'least'],
])('a window of %s pixels is %s', (pixels, said) => {
  resize(pixels);
  render(<Shown />);
  expect(height()).toBe(said);
});

test('it follows the window, but not while a keyboard takes height from the field that it came for', () => {
  render(<Shown />);
  resize(400);
  expect(height()).toBe('low');
  resize(800);
  expect(height()).toBe('full');
  act(() => screen.getByLabelText('Entry').focus());
  resize(380);
  expect(height()).toBe('full');
  act(() => screen.getByRole('button').focus());
  expect(height()).toBe('low');
});
