/** What Paper's components take of the palette of Material Design 2, whose other 250 colours are not used (see metro.config.js). */
module.exports = {
  black: '#000000',
  white: '#ffffff',
  grey50: '#fafafa',
  grey400: '#bdbdbd',
  grey700: '#616161',
  grey800: '#424242',
  pinkA100: '#ff80ab',
  pinkA400: '#f50057',
};
