import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text, TextInput } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { selectOnFocus } from '../../ui/select-on-focus';
import { useCoarse } from '../../ui/use-coarse';
import { edit } from './edit';
import { planActions } from './plan-slice';

const LIKELY = [
  'Kitchen',
  'Living room',
  'Bedroom',
  'Bathroom',
  'Hall',
  'Dining room',
  'Study',
  'Landing',
  'Store',
  'Toilet',
  'Utility',
];

/** Asks for the name of the room that was just drawn. */
export function Naming() {
  const dispatch = useAppDispatch();
  const room = useAppSelector((state) => state.plan.naming);
  if (!room) return null;
  const done = () => dispatch(planActions.naming(null));
  return <NamePrompt key={room} room={room} done={done} later={done} />;
}

/** Asks for a room's name: likely names one tap away, any other typed, or later. */
export function NamePrompt({
  room,
  name = '',
  done,
  later,
}: {
  room: string;
  name?: string;
  done(): void;
  later?(): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [text, setText] = useState(name);
  const refused = useAppSelector((state) => (state.plan.notice?.tone === 'refused' ? state.plan.notice.text : null));
  const taken = useAppSelector((state) =>
    Object.values(state.plan.plan?.rooms ?? {})
      .map((r) => r.name)
      .join('\n'),
  );
  const give = (chosen: string) => {
    if (dispatch(edit({ kind: 'nameRoom', room, name: chosen })).ok) done();
  };
  // where there is a keyboard the name is typed at once; on a phone it would cover the likely ones
  const keyboard = !useCoarse();
  const names = LIKELY.map((likely) => nextFree(likely, taken.split('\n')));
  return (
    <View style={styles.prompt}>
      <View style={styles.head}>
        <Text style={[styles.title, { color: colours.ink }]}>What is this room?</Text>
        <Button mode="text" textColor={colours.ink} contentStyle={styles.tall} onPress={later ?? done}>
          {later ? 'Later' : 'Back'}
        </Button>
      </View>
      <View style={styles.names}>
        {names.map((likely) => (
          <Button
            key={likely}
            mode="outlined"
            compact
            textColor={colours.ink}
            contentStyle={styles.name}
            onPress={() => give(likely)}
          >
            {likely}
          </Button>
        ))}
      </View>
      <View style={styles.own}>
        <TextInput
          mode="outlined"
          dense
          label="Another name"
          accessibilityLabel="Another name"
          value={text}
          autoFocus={keyboard}
          onFocus={selectOnFocus}
          onChangeText={setText}
          onSubmitEditing={() => text.trim() && give(text)}
          style={styles.input}
        />
        <Button mode="contained" contentStyle={styles.tall} disabled={!text.trim()} onPress={() => give(text)}>
          Name it
        </Button>
      </View>
      {refused && <Text style={{ color: colours.clay }}>{refused}</Text>}
    </View>
  );
}

function nextFree(name: string, taken: readonly string[]): string {
  if (!taken.includes(name)) return name;
  let n = 2;
  while (taken.includes(`${name} ${n}`)) n += 1;
  return `${name} ${n}`;
}

const styles = StyleSheet.create({
  prompt: { paddingVertical: 10, gap: 8 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', paddingHorizontal: 14 },
  title: { fontFamily: FONTS.serif, fontSize: 20 },
  names: { flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 14, gap: 6 },
  name: { minHeight: TOUCH, paddingHorizontal: 6 },
  own: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 14 },
  input: { flex: 1 },
  tall: { minHeight: TOUCH },
});
