import { LONGEST_NAME } from '@velvet-tape/core';
import { useEffect, useRef, useState } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { TextInput } from 'react-native-paper';

interface Props {
  label: string;
  value: string;
  keep(text: string): boolean;
  /** What it is called where the label says more. */
  called?: string;
  most?: number;
  multiline?: boolean;
  style?: StyleProp<TextStyle>;
}

/** A word or a figure that is kept when one leaves it, also by leaving the page; refused it stays as it was typed. */
export function Written({ label, value, keep, called = label, most = LONGEST_NAME, multiline = false, style }: Props) {
  const [text, setText] = useState(value);
  // what was refused is said once
  const refused = useRef<string | null>(null);
  const end = () => {
    if (text.trim() === value.trim() || text === refused.current) return;
    if (!keep(text)) refused.current = text;
  };
  const leave = useRef(end);
  useEffect(() => {
    leave.current = end;
  });
  useEffect(() => () => leave.current(), []);
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={called}
      multiline={multiline}
      value={text}
      maxLength={most}
      onChangeText={setText}
      onBlur={end}
      onSubmitEditing={end}
      style={style}
    />
  );
}
