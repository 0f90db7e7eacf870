import type { SignName } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Tile, Tiles } from '../../../ui/Tile';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import type { NoteChoice } from '../tool-choices';

const { DropMenu, ROUND, SIGNS, capital, edit, fitAll, planActions, selectFloor, useAppDispatch, useAppSelector } =
  lent();

const FORMS: readonly (readonly [NoteChoice, string, string])[] = [
  ['line', 'Dimension', 'ruler'],
  ['text', 'Text', 'format-title'],
  ['arrow', 'Arrow', 'arrow-right-top'],
  ['rule', 'Line', 'vector-line'],
];
/** Those one needs now and then. */
const MORE: readonly (readonly [NoteChoice, string, string])[] = [
  ['angle', 'Angle', 'angle-acute'],
  ['radius', 'Radius', 'vector-radius'],
  ['level', 'Level', 'view-sequential-outline'],
];

/** What to do with each. */
const HOW: Readonly<Record<NoteChoice, string>> = {
  line: 'Drag from what it begins at to what it ends at.',
  text: 'Tap where it goes; drag from what it is about for a line to it.',
  arrow: 'Drag to what it points at.',
  rule: 'Drag it.',
  angle: 'Tap a side, the corner, the other side.',
  radius: 'Tap a curved wall.',
  level: 'Tap where the floor is.',
  sign: 'Tap where it goes.',
};

/** What is put on the plan, and strings that lay themselves. */
export default function NotesBar() {
  const dispatch = useAppDispatch();
  const { note } = useAppSelector((state) => state.plan.choices);
  const floor = useAppSelector(selectFloor);
  const choose = (made: Partial<typeof note>) =>
    dispatch(planActions.choicesMade({ note: { ...note, ...made, adding: false } }));
  if (!floor) return null;
  const on = floor.floor;
  const strings = (kind: 'layStrings' | 'removeStrings', room: string | null) => () => {
    const result = dispatch(edit({ kind, floor: on, room }));
    if (!result.ok) return;
    if (room === null) dispatch(fitAll);
    if (kind === 'layStrings')
      dispatch(
        planActions.said({
          text: 'Strings are laid. They follow the plan; laid again they take in what was added.',
          tone: 'said',
        }),
      );
  };
  const laid = new Set(Object.values(floor.plan.dimensions).flatMap((each) => (each.floor === on ? [each.laid] : [])));
  const more = MORE.find(([form]) => form === note.form);
  const signs = Object.entries(SIGNS).flatMap(([, names]) => names as readonly SignName[]);
  return (
    <View style={styles.all}>
      <Tiles>
        {FORMS.map(([form, label, icon]) => (
          <Tile key={form} label={label} icon={icon} chosen={note.form === form} onPress={() => choose({ form })} />
        ))}
        <DropMenu
          tile
          icon="label-outline"
          label={note.form === 'sign' ? capital(note.sign) : 'Sign'}
          says={note.form === 'sign' ? `Sign: ${note.sign}` : 'Sign'}
          entries={signs.map((sign) => ({
            title: capital(sign),
            icon: note.form === 'sign' && note.sign === sign ? 'check' : 'blank',
            onPress: () => choose({ form: 'sign', sign }),
          }))}
        />
        <DropMenu
          tile
          icon={more?.[2] ?? 'dots-horizontal'}
          label={more?.[1] ?? 'More'}
          says="Angles, radii, levels"
          entries={MORE.map(([form, title]) => ({
            title,
            icon: note.form === form ? 'check' : 'blank',
            onPress: () => choose({ form }),
          }))}
        />
        <DropMenu
          tile
          icon="arrow-expand-horizontal"
          label="Strings"
          says="Lay strings"
          entries={[
            { title: 'Round the house', onPress: strings('layStrings', null) },
            ...floor.rooms.map(({ room }) => ({
              title: `In ${room.name || 'the unnamed room'}`,
              onPress: strings('layStrings', room.id),
            })),
            ...(laid.has(ROUND)
              ? [{ title: 'Take those round the house away', onPress: strings('removeStrings', null) }]
              : []),
            ...floor.rooms
              .filter(({ room }) => laid.has(room.id))
              .map(({ room }) => ({
                title: `Take those in ${room.name || 'the unnamed room'} away`,
                onPress: strings('removeStrings', room.id),
              })),
          ]}
        />
      </Tiles>
      <How text={HOW[note.form]} />
    </View>
  );
}

function How({ text }: { text: string }) {
  const colours = useColours();
  return <Text style={[styles.how, { color: colours.inkSoft }]}>{text}</Text>;
}

const styles = StyleSheet.create({
  all: { width: '100%' },
  how: { width: '100%', fontSize: 13.5, lineHeight: 17, paddingHorizontal: 4 },
});
