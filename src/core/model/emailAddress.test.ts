import { isAddress, mailtoOf, plainAddress, typedPerson, withoutMailto } from './emailAddress';

it('compares addresses without their scheme, case and spaces', () => {
  expect(plainAddress(' MAILTO:Oona@Fennick.example ')).toBe('oona@fennick.example');
  expect(withoutMailto('mailto:Oona@Fennick.example')).toBe('Oona@Fennick.example');
});

it('writes the scheme once', () => {
  expect(mailtoOf('mailto:oona@fennick.example')).toBe('mailto:oona@fennick.example');
  expect(mailtoOf('oona@fennick.example')).toBe('mailto:oona@fennick.example');
});

it('knows an address by its shape', () => {
  expect(['a@b', ' oona@fennick.example '].every(isAddress)).toBe(true);
  expect(['oona', 'a b@c', 'a@b@c', '<a@b>', 'a@b, c@d', ''].some(isAddress)).toBe(false);
});

it('reads a name with an address, and an address alone', () => {
  expect(typedPerson('Oona Pell <oona@fennick.example>')).toEqual({
    name: 'Oona Pell',
    address: 'oona@fennick.example',
  });
  expect(typedPerson(' oona@fennick.example ')).toEqual({ name: '', address: 'oona@fennick.example' });
});
