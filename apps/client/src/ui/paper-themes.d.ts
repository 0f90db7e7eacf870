// the two themes by themselves: the library's own index brings all of it along
declare module 'react-native-paper/lib/module/styles/themes/v3/LightTheme' {
  export { MD3LightTheme } from 'react-native-paper';
}
declare module 'react-native-paper/lib/module/styles/themes/v3/DarkTheme' {
  export { MD3DarkTheme } from 'react-native-paper';
}
