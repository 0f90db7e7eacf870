import { View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useColours } from './theme';

/** What is seen while a part of the application is on its way. */
export function Waiting() {
  const colours = useColours();
  return (
    <View style={{ flex: 1, alignItems: 'center', justifyContent: 'center', backgroundColor: colours.linen }}>
      <ActivityIndicator color={colours.velvet} accessibilityLabel="On its way" />
    </View>
  );
}
