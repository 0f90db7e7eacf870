import { ActivityIndicator, type StyleProp, type ViewStyle } from 'react-native';
import { useFilled } from './theme';

/** Something is on its way. The browser turns it by itself: React would draw it anew in every frame, in which what is waited for has to be done. */
export function Spinner({ says, style }: { says?: string; style?: StyleProp<ViewStyle> }) {
  const { fill } = useFilled();
  return <ActivityIndicator color={fill} size={24} style={style} {...(says && { accessibilityLabel: says })} />;
}
