import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { KEPT, recentForms, takeKept } from './in-hand';
import { isNewWall } from './new-wall';
import { PieceTile, TILES } from './PieceTile';

const { planActions, useKeptPieces, selectFloor, surfaceContains, toHouse, useAppDispatch, useAppSelector } = lent();

/** Two rows of the tray: the plan stays in view over them. */
const SHOWN = 8;

/** The tray: what fits the room in view, what was put down last, what is looked for; all of them are a tap away. */
export default function PiecesBar() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { form } = useAppSelector((state) => state.plan.choices.piece);
  const name = useAppSelector((state) => {
    const floor = selectFloor(state);
    const { view, width, height } = state.view;
    const middle = toHouse(view, { x: width / 2, y: height / 2 });
    const room = floor?.rooms.find(({ outline }) => surfaceContains(outline.rings, middle));
    return room?.room.name ?? '';
  });
  const listing = useAppSelector((state) => state.plan.listing);
  const [words, setWords] = useState('');
  const kept = useKeptPieces();
  const own = kept.filter(({ name }) => name.toLowerCase().includes(words.trim().toLowerCase())).slice(0, 4);
  const { findPieces, offeredIn, pieceKindOf, roomFor } = laterRooms();
  const shown = useMemo(() => {
    if (words.trim()) return findPieces(words).slice(0, SHOWN);
    const room = roomFor(name);
    const recent = recentForms()
      .slice(0, room ? 3 : SHOWN)
      .map(pieceKindOf);
    return [...new Set([...recent, ...offeredIn(room)])].slice(0, SHOWN);
  }, [words, name, findPieces, offeredIn, pieceKindOf, roomFor]);
  const take = (taken: string) =>
    dispatch(planActions.choicesMade({ piece: { form: taken === form ? null : taken, adding: false } }));
  const inHand = form && !isNewWall(form) && !form.startsWith(KEPT) ? pieceKindOf(form) : null;
  const list = inHand && !shown.includes(inHand) ? [inHand, ...shown.slice(0, SHOWN - 1)] : shown;
  // under a list it would take its room
  if (listing !== null) return null;
  return (
    <View style={styles.all} testID="pieces-tray">
      <View style={styles.line}>
        <TextInput
          mode="outlined"
          dense
          label="Find a piece"
          accessibilityLabel="Find a piece"
          value={words}
          onChangeText={setWords}
          style={styles.find}
        />
        <BarButton
          icon="format-list-numbered"
          label="List"
          says="The list of pieces"
          onPress={() => dispatch(planActions.listed('pieces'))}
        />
        <BarButton icon="table" label="Options" onPress={() => dispatch(planActions.listed('options'))} />
        <BarButton
          icon="view-grid-plus-outline"
          label="All"
          says="All pieces"
          onPress={() => dispatch(planActions.listed('catalogue'))}
        />
      </View>
      <View style={TILES.all}>
        {list.map((kind) => (
          <PieceTile key={kind.id} kind={kind} chosen={kind.id === form} take={take} />
        ))}
      </View>
      {own.length > 0 && (
        <View style={TILES.all}>
          {own.map(({ id, name, spec }) => (
            <BarButton
              key={id}
              icon="star-outline"
              label={name}
              says={`Kept: ${name}`}
              chosen={form === `${KEPT}${id}`}
              onPress={() => take(takeKept(id, name, spec))}
            />
          ))}
        </View>
      )}
      <Text style={[styles.how, { color: colours.inkSoft }]}>
        {inHand
          ? `${inHand.modules ? 'Drag along its wall, or tap where it goes' : 'Tap where it goes'}: ${inHand.name}.`
          : list.length === 0
            ? 'Nothing is called that. “Box” is as large as you like.'
            : 'Drag one onto the plan, or tap it and then the place.'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { width: '100%', gap: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, width: '100%' },
  find: { flex: 1, fontFamily: FONTS.sans, height: 44 },
  how: { width: '100%', fontSize: 13.5, lineHeight: 17, paddingHorizontal: 4 },
});
