/** The parts of a drawing. In the browser they are the browser's own, see svg.web.tsx. */
export { Circle, G, Path, Text } from 'react-native-svg';
