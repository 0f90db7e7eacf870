import type { PieceGroup } from '@velvet-tape/core/pieces';
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

/** So many of what was found are shown: who looks for more of them says more. */
const MOST_FOUND = 40;

const kindsOf = (group: PieceGroup) => laterRooms().PIECE_KINDS.filter((kind) => kind.group === group);

/** Every kind there is, a group at a time, or by a word. One that is tapped is in hand, over the plan. */
export default function Catalogue() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { PIECE_GROUPS, PIECE_KINDS } = laterRooms();
  const [words, setWords] = useState('');
  const [group, setGroup] = useState<PieceGroup>(PIECE_GROUPS[0]!);
  const form = useAppSelector((state) => state.plan.choices.piece.form);
  const looking = words.trim() !== '';
  const shown = useMemo(
    () => (looking ? laterRooms().findPieces(words).slice(0, MOST_FOUND) : kindsOf(group)),
    [looking, words, group],
  );
  const take = (taken: string) => {
    dispatch(takeTool('pieces'));
    dispatch(planActions.choicesMade({ piece: { form: taken, adding: false } }));
    dispatch(planActions.listed(null));
  };
  return (
    <ListPanel title="Pieces to put down" testID="catalogue" downloads={[]}>
      <TextInput
        mode="outlined"
        dense
        label={`Find one of ${PIECE_KINDS.length}`}
        accessibilityLabel="Find by word"
        value={words}
        onChangeText={setWords}
        style={styles.find}
      />
      <ScrollView>
        {!looking && (
          <ListBar>
            {PIECE_GROUPS.map((each) => (
              <BarButton key={each} label={capital(each)} chosen={group === each} onPress={() => setGroup(each)} />
            ))}
          </ListBar>
        )}
        <View style={[TILES.all, styles.tiles]}>
          {shown.map((kind) => (
            <PieceTile key={kind.id} kind={kind} chosen={kind.id === form} take={take} />
          ))}
        </View>
        {shown.length === 0 && (
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
  none: { paddingHorizontal: 14, paddingBottom: 8, fontSize: 14.5, lineHeight: 19 },
});
