import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import type { Turn, WalkLine, WalkProposal } from '../sketching/walk';

const { chooseLine, formatLength, selectProposal, useAppDispatch, useAppSelector } = lent();

/** The walls of a walk, line by line, beside the growing outline. A line that is tapped is typed anew. */
export default function WalkList() {
  const kept = useAppSelector((state) => state.plan.proposal);
  const shown = useAppSelector(selectProposal);
  if (kept?.kind !== 'walk' || shown?.kind !== 'walk') return null;
  return <Lines kept={kept} shown={shown} />;
}

function Lines({ kept, shown }: { kept: WalkProposal; shown: WalkProposal }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const scroll = useRef<ScrollView>(null);
  const next = kept.line === null && !kept.closing;
  useEffect(() => {
    if (next) scroll.current?.scrollToEnd({ animated: false });
  }, [kept.lines.length, next]);
  return (
    <View
      testID="walk"
      accessibilityLabel="Walls walked"
      style={[styles.panel, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }]}
    >
      <ScrollView ref={scroll} contentContainerStyle={styles.lines}>
        {kept.lines.map((line, i) => (
          <Line
            key={i}
            at={i}
            line={shown.lines[i] ?? line}
            on={kept.line === i}
            choose={() => dispatch(chooseLine(kept.line === i ? null : i))}
          />
        ))}
        {!kept.closing && (
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={`Next wall, ${kept.lines.length + 1}`}
            aria-pressed={next}
            onPress={() => dispatch(chooseLine(null))}
            style={[styles.line, next && { backgroundColor: colours.linenDeep, borderColor: colours.brassDeep }]}
          >
            <Text style={[styles.number, { color: colours.inkSoft }]}>{kept.lines.length + 1}</Text>
            {kept.lines.length > 0 && <Icon source={turnIcon(kept.turn)} size={20} color={colours.ink} />}
            <Text style={[styles.length, { color: colours.inkSoft }]}>…</Text>
          </Pressable>
        )}
      </ScrollView>
    </View>
  );
}

function Line({ at, line, on, choose }: { at: number; line: WalkLine; on: boolean; choose(): void }) {
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const length = formatLength(line.length.value, units);
  const bow = line.bow && `bows ${line.out ? 'out' : 'in'} ${formatLength(line.bow.value, units)}`;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Wall ${at + 1}: ${[at > 0 && turnInWords(line.turn), length, bow].filter(Boolean).join(', ')}`}
      aria-pressed={on}
      onPress={choose}
      style={[styles.line, on && { backgroundColor: colours.linenDeep, borderColor: colours.brassDeep }]}
    >
      <Text style={[styles.number, { color: colours.inkSoft }]}>{at + 1}</Text>
      {at > 0 && <Icon source={turnIcon(line.turn)} size={20} color={colours.ink} />}
      <View style={styles.what}>
        <Text style={[styles.length, { color: colours.ink }]}>{length}</Text>
        {at > 0 && line.turn.read && (
          <Text style={[styles.small, { color: colours.inkSoft }]}>{turnInWords(line.turn)}</Text>
        )}
        {bow && <Text style={[styles.small, { color: colours.inkSoft }]}>{bow}</Text>}
      </View>
    </Pressable>
  );
}

export function turnInWords({ degrees }: Turn): string {
  if (degrees === 0) return 'straight on';
  const side = degrees > 0 ? 'right' : 'left';
  return Math.abs(degrees) === 90 ? side : `${Math.abs(degrees)}° ${side}`;
}

const turnIcon = ({ degrees }: Turn): string =>
  degrees === 0 ? 'arrow-up' : degrees > 0 ? 'arrow-right-top' : 'arrow-left-top';

const styles = StyleSheet.create({
  panel: { width: 136, borderRightWidth: 2 },
  lines: { paddingVertical: 4 },
  line: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 8,
    borderWidth: 2,
    borderColor: 'transparent',
  },
  number: { width: 18, fontSize: 13, fontVariant: ['tabular-nums'] },
  what: { flexShrink: 1 },
  length: { fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
  small: { fontSize: 12.5, lineHeight: 15 },
});
