import type { PieceGroup, PieceKind } from '@velvet-tape/core/pieces';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { PieceTile, TILES } from './PieceTile';

const { capital, planActions, takeTool, useAppDispatch, useAppSelector } = lent();

/** Every kind there is, by what it is for, or by a word. One that is tapped is in hand, over the plan. */
export default function Catalogue() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [words, setWords] = useState('');
  const [group, setGroup] = useState<PieceGroup | null>(null);
  const form = useAppSelector((state) => state.plan.choices.piece.form);
  const { PIECE_GROUPS, findPieces } = laterRooms();
  const found = useMemo(() => findPieces(words), [words, findPieces]);
  const groups = PIECE_GROUPS.filter((each) => group === null || each === group || words.trim() !== '');
  const take = (taken: string) => {
    dispatch(takeTool('pieces'));
    dispatch(planActions.choicesMade({ piece: { form: taken, adding: false } }));
    dispatch(planActions.listed(null));
  };
  const tiles = (kinds: readonly PieceKind[]) => (
    <View style={[TILES.all, styles.tiles]}>
      {kinds.map((kind) => (
        <PieceTile key={kind.id} kind={kind} chosen={kind.id === form} take={take} />
      ))}
    </View>
  );
  return (
    <ListPanel title="Pieces to put down" testID="catalogue" downloads={[]}>
      <TextInput
        mode="outlined"
        dense
        label="Find by word"
        accessibilityLabel="Find by word"
        value={words}
        onChangeText={setWords}
        style={styles.find}
      />
      <ScrollView>
        {words.trim() === '' && (
          <ListBar>
            {PIECE_GROUPS.map((each) => (
              <BarButton
                key={each}
                label={capital(each)}
                chosen={group === each}
                onPress={() => setGroup(group === each ? null : each)}
              />
            ))}
          </ListBar>
        )}
        {words.trim() === ''
          ? groups.map((each) => (
              <View key={each}>
                <Text style={[styles.head, { color: colours.ink }]} role="heading" aria-level={3}>
                  {capital(each)}
                </Text>
                {tiles(found.filter((kind) => kind.group === each))}
              </View>
            ))
          : tiles(found)}
        {found.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>
            Nothing is called that. “Box” and “Cylinder” are as large as you like, and have a name of your own.
          </Text>
        )}
      </ScrollView>
    </ListPanel>
  );
}

const styles = StyleSheet.create({
  find: { marginHorizontal: 10, marginBottom: 8, fontFamily: FONTS.sans },
  tiles: { paddingHorizontal: 10, paddingBottom: 8 },
  head: { fontFamily: FONTS.serif, fontSize: 17, paddingHorizontal: 14, paddingVertical: 6 },
  none: { paddingHorizontal: 14, paddingBottom: 8, fontSize: 14.5, lineHeight: 19 },
});
