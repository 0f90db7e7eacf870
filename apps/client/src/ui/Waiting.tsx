import { View } from 'react-native';
import { Spinner } from './Spinner';
import { useColours } from './theme';

/** What is seen while a part of the application is on its way. */
export function Waiting() {
  const colours = useColours();
  return (
    <View style={{ flex: 1, alignItems: 'center', justifyContent: 'center', backgroundColor: colours.linen }}>
      <Spinner says="On its way" />
    </View>
  );
}
