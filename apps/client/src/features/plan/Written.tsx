import { LONGEST_NAME } from '@velvet-tape/core';
import { useState } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { TextInput } from 'react-native-paper';

interface Props {
  label: string;
  value: string;
  keep(text: string): boolean;
  style?: StyleProp<TextStyle>;
}

/** A word or a figure that is kept when one leaves it; refused it stays as it was typed. */
export function Written({ label, value, keep, style }: Props) {
  const [text, setText] = useState(value);
  const end = () => {
    if (text.trim() !== value) keep(text);
  };
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={label}
      value={text}
      maxLength={LONGEST_NAME}
      onChangeText={setText}
      onBlur={end}
      onSubmitEditing={end}
      style={style}
    />
  );
}
