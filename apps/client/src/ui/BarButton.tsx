import { Pressable, StyleSheet } from 'react-native';
import { Icon, IconButton, Text } from 'react-native-paper';
import { FONTS, TOUCH, useColours, useFilled } from './theme';

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

/** A button of the bars at the foot: tall enough for a thumb. Chosen or strong ones are filled; whoever listens is told what is chosen. */
export function BarButton({ label, icon, says = label, chosen, strong = false, disabled = false, onPress }: Props) {
  const colours = useColours();
  const { fill, onFill } = useFilled();
  const filled = strong || chosen === true;
  const ink = disabled ? colours.inkSoft : filled ? onFill : colours.ink;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={says}
      {...(chosen !== undefined && { 'aria-pressed': chosen })}
      disabled={disabled}
      onPress={onPress}
      style={({ pressed }) => [
        styles.button,
        {
          backgroundColor: filled && !disabled ? fill : 'transparent',
          borderColor: filled && !disabled ? fill : colours.rim,
          opacity: pressed ? 0.6 : 1,
        },
      ]}
    >
      {icon && <Icon source={icon} size={18} color={ink} />}
      <Text style={[styles.label, { color: ink }]}>{label}</Text>
    </Pressable>
  );
}

/** The same with only a sign on it. */
export function BarIcon({ icon, says, onPress }: { icon: string; says: string; onPress(): void }) {
  return <IconButton icon={icon} accessibilityLabel={says} onPress={onPress} style={styles.icon} />;
}

const styles = StyleSheet.create({
  button: {
    minHeight: TOUCH,
    minWidth: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 8,
    paddingHorizontal: 14,
    borderWidth: 1,
    borderRadius: 15,
  },
  label: { flexShrink: 1, fontFamily: FONTS.sans, fontSize: 14, lineHeight: 20, textAlign: 'center' },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
});
