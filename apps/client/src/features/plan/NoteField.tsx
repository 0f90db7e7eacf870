import { LONGEST_NOTE } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { BarButton } from '../../ui/BarButton';

/** A word about something in a list: to the frame, over the skirting, tape sagged. `keep` says whether it was kept. */
export function NoteField({ note, keep, done }: { note: string; keep(text: string): boolean; done(): void }) {
  const [text, setText] = useState(note);
  const end = () => {
    if (text.trim() === note || keep(text)) done();
  };
  return (
    <View style={styles.line}>
      <TextInput
        mode="outlined"
        dense
        autoFocus
        label="Note"
        accessibilityLabel="Note"
        value={text}
        maxLength={LONGEST_NOTE}
        onChangeText={setText}
        onSubmitEditing={end}
        style={styles.note}
      />
      <BarButton strong label="Keep" says="Keep the note" onPress={end} />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center' },
  note: { flex: 1, marginRight: 8, marginBottom: 6 },
});
