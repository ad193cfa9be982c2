import { isOpenable } from './link';

test.each([
  'https://fennick.example/a?b',
  'http://x.example',
  'mailto:oona@fennick.example',
  'tel:+351',
  'geo:38.7,-9.1',
])('%s is a link', (text) => expect(isOpenable(text)).toBe(true));

test.each([
  'javascript:alert(1)',
  ' JavaScript:alert(1)',
  'java\tscript:alert(1)',
  'data:text/html,x',
  'blob:x',
  'file:///etc',
  'about:blank',
  'Chart room',
  '',
  '//x.example',
])('%p is a text', (text) => expect(isOpenable(text)).toBe(false));
