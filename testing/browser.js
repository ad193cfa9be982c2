/* jsdom has no matchMedia; react-native-web's useColorScheme asks for it on import. */
if (typeof window !== 'undefined' && !window.matchMedia) {
  window.matchMedia = (query) => ({
    matches: false,
    media: query,
    onchange: null,
    addListener() {},
    removeListener() {},
    addEventListener() {},
    removeEventListener() {},
    dispatchEvent: () => false,
  });
}
/* Nor has its crypto the making of ids. */
if (typeof window !== 'undefined' && !window.crypto.randomUUID)
  Object.defineProperty(window.crypto, 'randomUUID', { value: () => require('node:crypto').randomUUID() });
