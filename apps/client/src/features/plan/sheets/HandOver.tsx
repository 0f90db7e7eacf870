import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { TOUCH, useColours } from '../../../ui/theme';
import type { Handed, MadeFile } from '../../../workers/files.worker';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { makeHandOver, stopMaking } from './make-sheets';
import type { Making } from './steps';
import { Spinner } from '../../../ui/Spinner';

const { download, useAppDispatch, useAppSelector } = lent();

const PARTS: readonly { readonly what: Handed; readonly label: string }[] = [
  { what: 'sheets', label: 'Sheets, as PDF' },
  { what: 'svg', label: 'Sheets, as SVG' },
  { what: 'dxf', label: 'Plans, as DXF' },
  { what: 'rooms', label: 'Rooms, as a table' },
  { what: 'openings', label: 'Doors and windows, as a table' },
  { what: 'pieces', label: 'Pieces, as a table' },
  { what: 'areas', label: 'Areas, as a table' },
  { what: 'readings', label: 'Readings, as a table' },
];

/** All that a client or a builder gets, in one file with a cover page: chosen, made, shared. */
export function HandOver({ close }: { close(): void }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const sheets = useAppSelector((state) => Object.keys(state.plan.plan!.sheets).length);
  const [wanted, want] = useState<readonly Handed[]>(PARTS.map(({ what }) => what).filter((what) => what !== 'svg'));
  const [making, setMaking] = useState<Making | null>(null);
  const [made, setMade] = useState<MadeFile | null>(null);
  const there = PARTS.filter(({ what }) => sheets > 0 || (what !== 'sheets' && what !== 'svg'));
  const chosen = there.map(({ what }) => what).filter((what) => wanted.includes(what));
  const toggle = (what: Handed) => {
    setMade(null);
    want(wanted.includes(what) ? wanted.filter((each) => each !== what) : [...wanted, what]);
  };
  const file = made && new File([made.bytes], made.name, { type: made.type });
  const shareable = file !== null && navigator.canShare?.({ files: [file] });
  return (
    <ListPanel title="Hand over" testID="hand-over" downloads={[]}>
      <ListBar>
        <BarButton icon="arrow-left" label="All sheets" onPress={close} />
      </ListBar>
      <ScrollView tabIndex={0}>
        {there.map(({ what, label }) => (
          <Pressable
            key={what}
            role="checkbox"
            aria-checked={wanted.includes(what)}
            accessibilityLabel={label}
            onPress={() => toggle(what)}
            style={[styles.item, { borderColor: colours.linenDeep }]}
          >
            <Icon
              source={wanted.includes(what) ? 'checkbox-marked' : 'checkbox-blank-outline'}
              size={24}
              color={colours.ink}
            />
            <Text style={[styles.label, { color: colours.ink }]}>{label}</Text>
          </Pressable>
        ))}
        {making ? (
          <View style={styles.making} accessibilityLiveRegion="polite">
            <Spinner />
            <Text style={styles.grow}>{`Part ${Math.min(making.done + 1, making.of)} of ${making.of}`}</Text>
            <BarButton icon="stop" label="Stop" onPress={stopMaking} />
          </View>
        ) : (
          <View style={styles.end}>
            {made === null ? (
              <BarButton
                strong
                icon="archive-arrow-down-outline"
                label="Make one file"
                disabled={chosen.length === 0}
                onPress={() => dispatch(makeHandOver(chosen, setMaking, setMade))}
              />
            ) : (
              <>
                {shareable && (
                  <BarButton
                    strong
                    icon="file-export-outline"
                    label="Share"
                    onPress={() => void navigator.share({ files: [file], title: made.name }).catch(() => undefined)}
                  />
                )}
                <BarButton
                  strong={!shareable}
                  icon="download"
                  label="Download"
                  onPress={() => download(made.name, made.type, made.bytes)}
                />
              </>
            )}
          </View>
        )}
      </ScrollView>
    </ListPanel>
  );
}

const styles = StyleSheet.create({
  item: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    paddingHorizontal: 14,
    minHeight: TOUCH,
    borderTopWidth: 1,
  },
  label: { fontSize: 16 },
  grow: { flex: 1 },
  end: { flexDirection: 'row', gap: 8, padding: 14 },
  making: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingHorizontal: 14, minHeight: TOUCH },
});
