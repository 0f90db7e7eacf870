import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { TextInput } from 'react-native-paper';
import { FONTS, TOUCH } from '../../../../ui/theme';

/** A figure that is typed; what is no such figure is said by whoever keeps it. */
export function Typed({
  label,
  value,
  wide = false,
  keep,
}: {
  label: string;
  value: string;
  wide?: boolean;
  keep(text: string): void;
}) {
  const [text, setText] = useState(value);
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={label}
      value={text}
      onChangeText={setText}
      onBlur={() => text !== value && keep(text)}
      onSubmitEditing={() => keep(text)}
      style={[styles.typed, wide && styles.wide]}
    />
  );
}

const styles = StyleSheet.create({
  typed: { width: 118, height: TOUCH - 4, fontFamily: FONTS.sans },
  wide: { width: 'auto', flex: 1, minWidth: 150 },
});
