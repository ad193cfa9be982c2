// Paper's index brings every component along; its own plugin knows the components' files but not the themes'.
declare module 'react-native-paper/lib/module/styles/themes' {
  export { MD3DarkTheme, MD3LightTheme } from 'react-native-paper';
}
