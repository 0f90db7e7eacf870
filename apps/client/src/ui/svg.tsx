/** The parts of a drawing. In the browser they are the browser's own, see svg.web.tsx. */
export { Circle, G, Image, Path, Svg as Window, Text } from 'react-native-svg';
