import { StyleSheet } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { TOUCH, useColours } from './theme';

interface Props {
  label: string;
  icon?: string;
  /** What a screen reader says; the label unless said. */
  says?: string;
  chosen?: boolean;
  strong?: boolean;
  disabled?: boolean;
  onPress(): void;
}

/** A button of the bars at the foot: tall enough for a thumb. Chosen or strong ones are filled. */
export function BarButton({ label, icon, says, chosen, strong = false, disabled = false, onPress }: Props) {
  const colours = useColours();
  const filled = strong || chosen === true;
  return (
    <Button
      compact
      mode={filled ? 'contained' : 'outlined'}
      disabled={disabled}
      contentStyle={styles.tall}
      labelStyle={styles.label}
      onPress={onPress}
      accessibilityLabel={says ?? label}
      {...(icon && { icon })}
      {...(chosen !== undefined && { accessibilityState: { selected: chosen } })}
      {...(!filled && { textColor: colours.ink })}
    >
      {label}
    </Button>
  );
}

/** The same with only a sign on it. */
export function BarIcon({ icon, says, onPress }: { icon: string; says: string; onPress(): void }) {
  return <IconButton icon={icon} accessibilityLabel={says} onPress={onPress} style={styles.icon} />;
}

const styles = StyleSheet.create({
  tall: { minHeight: TOUCH, paddingHorizontal: 6 },
  label: { marginHorizontal: 8 },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
});
