import type { Underlay } from '@velvet-tape/core';
import { type ReactNode, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, Text, TextInput } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { LookPanel } from './LookPanel';
import { PrintedScale } from './PrintedScale';

const { DropMenu, PICTURES, bringIn, changeChosen, decimals, dropSeen, edit, findOnUnderlay, formatLength, mark } =
  lent();
const { pickFiles, removeChosen, scaleOf, selectUnderlay, takeAllSeen, turnChosen, underlayActions, underlayWords } =
  lent();
const { useAppDispatch, useAppSelector } = lent();

/** The chosen picture: how its scale is known, and what can be done with it. */
export default function UnderlayPanel() {
  const underlay = useAppSelector(selectUnderlay);
  const found = useAppSelector((state) => state.underlay.found);
  if (!underlay) return null;
  return found?.underlay === underlay.id ? (
    <FoundPanel underlay={underlay} />
  ) : (
    <Panel key={underlay.id} underlay={underlay} />
  );
}

function Panel({ underlay }: { underlay: Underlay }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const panel = useAppSelector((state) => state.underlay.panel);
  const [naming, setNaming] = useState(false);
  const { known } = scaleOf(underlay);
  const { locked, hidden, prints, crop } = underlay;
  const show = (next: 'look' | 'printed') => () => dispatch(underlayActions.panelShown(panel === next ? null : next));
  return (
    <View testID="underlay-panel" style={{ backgroundColor: colours.chalk }}>
      <View style={styles.head}>
        {naming ? (
          <Name underlay={underlay} done={() => setNaming(false)} />
        ) : (
          <View style={styles.title}>
            <Text style={[styles.name, { color: colours.ink }]} numberOfLines={1}>
              {underlay.name}
            </Text>
            <Text
              testID="underlay-words"
              style={[styles.words, { color: known ? colours.inkSoft : colours.clay }]}
              numberOfLines={2}
            >
              {underlayWords(underlay, units)}
            </Text>
          </View>
        )}
        <BarIcon
          icon={hidden ? 'eye-off-outline' : 'eye-outline'}
          says={hidden ? 'Show it' : 'Hide it'}
          onPress={() => dispatch(changeChosen({ hidden: !hidden }))}
        />
        <BarIcon
          icon={locked ? 'lock-outline' : 'lock-open-variant-outline'}
          says={locked ? 'Unlock it' : 'Lock it'}
          onPress={() => dispatch(changeChosen({ locked: !locked }))}
        />
        <DropMenu
          icon="dots-vertical"
          says="More about this underlay"
          entries={[
            { title: 'Rename', icon: 'pencil-outline', onPress: () => setNaming(true) },
            {
              title: 'Replace the picture',
              icon: 'image-sync-outline',
              onPress: () =>
                void pickFiles({ accept: PICTURES, camera: false, several: false }).then((files) =>
                  dispatch(bringIn(files, { replaces: underlay.id })),
                ),
            },
            {
              title: prints ? 'Leave it off sheets' : 'Print it on sheets',
              icon: 'printer-outline',
              onPress: () => dispatch(changeChosen({ prints: !prints })),
            },
            {
              title: 'Bring forward',
              icon: 'arrange-bring-forward',
              onPress: () => dispatch(edit({ kind: 'orderUnderlay', underlay: underlay.id, by: 1 })),
            },
            {
              title: 'Send back',
              icon: 'arrange-send-backward',
              onPress: () => dispatch(edit({ kind: 'orderUnderlay', underlay: underlay.id, by: -1 })),
            },
            ...(crop
              ? [{ title: 'Show all of it', icon: 'crop-free', onPress: () => dispatch(changeChosen({ crop: null })) }]
              : []),
            { title: 'Take it away', icon: 'trash-can-outline', onPress: () => dispatch(removeChosen) },
          ]}
        />
      </View>
      {prints && (
        <View style={styles.flag}>
          <Icon source="printer-outline" size={16} color={colours.inkSoft} />
          <Text style={{ color: colours.inkSoft }}>It prints on sheets.</Text>
        </View>
      )}
      {panel === 'look' && <LookPanel underlay={underlay} />}
      {panel === 'printed' && <PrintedScale key={underlay.id} underlay={underlay} />}
      <Bar>
        <BarButton strong={!known} icon="ruler" label="True scale" onPress={() => dispatch(mark('scale'))} />
        {known && <BarButton strong icon="wall" label="Find walls" onPress={() => dispatch(findOnUnderlay)} />}
        <BarButton
          icon="format-rotate-90"
          label="Level"
          says="Level by a marked line"
          onPress={() => dispatch(mark('level'))}
        />
        <BarButton icon="perspective-less" label="Flatten" onPress={() => dispatch(mark('flatten'))} />
        <BarButton
          icon="map-marker-check-outline"
          label="Place"
          says="Place by two points"
          onPress={() => dispatch(mark('place'))}
        />
        <BarButton icon="crop" label="Crop" onPress={() => dispatch(mark('crop'))} />
        <BarButton label="1:50" says="Printed scale" chosen={panel === 'printed'} onPress={show('printed')} />
        <BarButton icon="tune-variant" label="Look" chosen={panel === 'look'} onPress={show('look')} />
        <BarIcon icon="rotate-left" says="Turn a quarter to the left" onPress={() => dispatch(turnChosen(-90))} />
        <BarIcon icon="rotate-right" says="Turn a quarter to the right" onPress={() => dispatch(turnChosen(90))} />
      </Bar>
    </View>
  );
}

/** As many rows as it takes. */
const Bar = ({ children }: { children: ReactNode }) => <View style={[styles.bar, styles.row]}>{children}</View>;

function Name({ underlay, done }: { underlay: Underlay; done(): void }) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState(underlay.name);
  const keep = () => {
    if (text.trim() !== '') dispatch(changeChosen({ name: text }));
    done();
  };
  return (
    <TextInput
      autoFocus
      dense
      mode="outlined"
      accessibilityLabel="Name of the underlay"
      value={text}
      maxLength={120}
      onChangeText={setText}
      onSubmitEditing={keep}
      onBlur={keep}
      style={styles.title}
    />
  );
}

/** Walls were found: they are taken one by one on the sheet, by room, or all. */
function FoundPanel({ underlay }: { underlay: Underlay }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const found = useAppSelector((state) => state.underlay.found)!;
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const gaps = found.walls.reduce((sum, wall) => sum + wall.gaps.length, 0);
  const { size } = scaleOf(underlay);
  const length = found.walls.reduce((sum, { a, b }) => sum + Math.hypot((b.x - a.x) * size.x, (b.y - a.y) * size.y), 0);
  const turned = Math.abs(found.skew + underlay.turn) > 0.15;
  return (
    <View testID="found-walls" style={{ backgroundColor: colours.chalk }}>
      <Text style={[styles.found, { color: colours.ink }]}>
        {`${found.walls.length} walls found, ${formatLength(length, units, 'coarse')} in all${gaps > 0 ? `, with ${gaps} openings` : ''}.`}
      </Text>
      <Text style={[styles.hint, { color: colours.inkSoft }]}>
        Tap a wall to take it, or inside a room to take those round it.
      </Text>
      <View style={[styles.bar, styles.row]}>
        <BarButton strong icon="check-all" label="Take all" onPress={() => dispatch(takeAllSeen)} />
        {turned && !underlay.locked && (
          <BarButton
            icon="format-rotate-90"
            label={`Turn it ${decimals(Math.abs(found.skew + underlay.turn), 1)}°`}
            says="Level the drawing first"
            onPress={() => dispatch(turnChosen(-(found.skew + underlay.turn)))}
          />
        )}
        <BarButton label="Drop" says="Drop what was found" onPress={() => dispatch(dropSeen)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 14, paddingRight: 4, minHeight: 56 },
  title: { flex: 1, minWidth: 0 },
  name: { fontFamily: FONTS.serif, fontSize: 18, lineHeight: 24 },
  words: { fontSize: 13.5, lineHeight: 18, fontVariant: ['tabular-nums'] },
  flag: { flexDirection: 'row', gap: 6, alignItems: 'center', paddingHorizontal: 14 },
  bar: { paddingHorizontal: 8, paddingVertical: 6, gap: 6, alignItems: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap' },
  found: { paddingHorizontal: 14, paddingTop: 10, fontSize: 16, fontFamily: FONTS.strong },
  hint: { paddingHorizontal: 14, fontSize: 14 },
});
