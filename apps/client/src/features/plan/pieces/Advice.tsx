import type { PieceAdvice, PieceOnFloor } from '@velvet-tape/core/pieces';
import { StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { useAdvice } from './use-advice';

const { edit, useAppDispatch } = lent();

/** What is to be said of one piece. */
export function Advice({ one }: { one: PieceOnFloor }) {
  const advice = useAdvice().filter(({ piece }) => piece === one.piece.id);
  return advice.map((each) => <AdviceLine key={each.key} advice={each} />);
}

/** Said in words with its source; heard, it is not said again. */
export function AdviceLine({ advice, children }: { advice: PieceAdvice; children?: React.ReactNode }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { piece, key, words, source, wrong } = advice;
  const tone = wrong ? colours.clay : colours.inkSoft;
  return (
    <View style={[styles.line, { borderColor: colours.linenDeep }]} role={wrong ? 'alert' : 'note'}>
      <Icon source={wrong ? 'alert-outline' : 'information-outline'} size={20} color={tone} />
      <View style={styles.words}>
        <Text style={[styles.said, { color: colours.ink }]}>{words}</Text>
        {source !== '' && <Text style={[styles.source, { color: colours.inkSoft }]}>{source}</Text>}
      </View>
      {children}
      <BarButton
        label="Heard"
        says={`Heard: ${words}`}
        onPress={() => dispatch(edit({ kind: 'hearAdvice', piece, advice: key, heard: true }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 10,
    paddingVertical: 6,
    borderTopWidth: 1,
  },
  words: { flex: 1 },
  said: { fontSize: 14.5, lineHeight: 19 },
  source: { fontSize: 12.5, lineHeight: 16 },
});
