import type { DerivedFloor, Sheet } from '@velvet-tape/core';
import type { SheetSet } from '@velvet-tape/core/sheets';
import { useState } from 'react';
import { Image, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { HandOver } from './HandOver';
import { Leave } from './Leave';
import { makeDxf } from './make-sheets';
import { Papers } from './Papers';
import { sayWrong } from './say-wrong';
import { SheetEditor } from './SheetEditor';
import { useThumbnail } from './use-pages';
import { Spinner } from '../../../ui/Spinner';

const { edit, filesWorker, sheetsInOrder, useAppDispatch, useAppSelector } = lent();

/** The sheets of the job: laid out in sets, looked at, taken away. */
export default function SheetsPart(_: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [handing, setHanding] = useState(false);
  const sheets = sheetsInOrder(plan);
  const chosen = sheets.find(({ id }) => id === open);
  if (handing) return <HandOver close={() => setHanding(false)} />;
  if (chosen) return <SheetEditor key={chosen.id} sheet={chosen} of={sheets.length} close={() => setOpen(null)} />;
  return (
    <ListPanel title="Sheets" testID="sheets" downloads={[]}>
      {sheets.length > 0 && (
        <>
          <Leave ids={sheets.map(({ id }) => id)} what={sheets.length === 1 ? 'The sheet' : 'All sheets'} />
          <ListBar>
            <BarButton icon="plus" label="Lay out more" chosen={adding} onPress={() => setAdding(!adding)} />
            <BarButton
              icon="download"
              label="DXF"
              says="Plans of all floors as DXF"
              onPress={() => dispatch(makeDxf(() => undefined))}
            />
            <BarButton
              icon="file-export-outline"
              label="Hand over"
              says="Hand over: all in one file"
              onPress={() => setHanding(true)}
            />
          </ListBar>
        </>
      )}
      <ScrollView tabIndex={0} contentContainerStyle={styles.list}>
        {(sheets.length === 0 || adding) && <Sets first={sheets.length === 0} done={() => setAdding(false)} />}
        {sheets.map((sheet, i) => (
          <SheetLine key={sheet.id} sheet={sheet} number={i + 1} open={() => setOpen(sheet.id)} />
        ))}
      </ScrollView>
    </ListPanel>
  );
}

const SETS: readonly {
  readonly set: SheetSet;
  readonly label: string;
  readonly icon: string;
  readonly says: string;
}[] = [
  {
    set: 'a page a floor',
    label: 'A page a floor',
    icon: 'view-sequential-outline',
    says: 'Lengths, openings, names and areas',
  },
  {
    set: 'all floors on one page',
    label: 'All floors on one page',
    icon: 'view-parallel-outline',
    says: 'At one scale',
  },
  {
    set: 'listing plan',
    label: 'Listing plan',
    icon: 'home-outline',
    says: 'Clean walls, names, sizes, areas by the rule of the job',
  },
  {
    set: 'builder’s set',
    label: 'Builder’s set',
    icon: 'wall',
    says: 'Plans with lengths and numbers; schedules of openings and rooms',
  },
];

/** The sets there are, and the paper they are laid out on. */
function Sets({ first, done }: { first: boolean; done(): void }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const metric = plan.job.units === 'metric';
  const [paper, setPaper] = useState<Sheet['paper']>(metric ? 'A4' : 'Letter');
  const [busy, setBusy] = useState(false);
  const layOut = (set: SheetSet) => {
    setBusy(true);
    filesWorker()
      .then((files) => files.layOut(plan, set, paper))
      .then((laid) => dispatch(edit({ kind: 'addSheets', ...laid })).ok && done())
      .catch(sayWrong(dispatch))
      .finally(() => setBusy(false));
  };
  return (
    <View style={styles.sets}>
      {first && (
        <Text style={[styles.words, { color: colours.inkSoft }]}>
          A sheet is a page at a true scale, with what one must know of it. Choose a set; every page can be changed
          after.
        </Text>
      )}
      <View style={styles.papers}>
        <Papers paper={paper} take={setPaper} />
      </View>
      {SETS.map(({ set, label, icon, says }) => (
        <Pressable
          key={set}
          accessibilityRole="button"
          accessibilityLabel={`${label}: ${says}`}
          disabled={busy}
          onPress={() => layOut(set)}
          style={({ pressed }) => [styles.set, { borderColor: colours.rim, opacity: pressed || busy ? 0.6 : 1 }]}
        >
          <Icon source={icon} size={24} color={colours.ink} />
          <View style={styles.grow}>
            <Text style={[styles.label, { color: colours.ink }]}>{label}</Text>
            <Text style={{ color: colours.inkSoft }}>{says}</Text>
          </View>
        </Pressable>
      ))}
    </View>
  );
}

/** A sheet in the list: a small picture of it, what it is called, its paper. */
function SheetLine({ sheet, number, open }: { sheet: Sheet; number: number; open(): void }) {
  const colours = useColours();
  const picture = useThumbnail(sheet.id, THUMB);
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Sheet ${number}, ${sheet.name}, ${sheet.paper} ${sheet.across ? 'across' : 'upright'}. Open`}
      onPress={open}
      style={({ pressed }) => [styles.line, { borderColor: colours.linenDeep, opacity: pressed ? 0.6 : 1 }]}
    >
      <View style={[styles.thumb, { backgroundColor: colours.linen }]}>
        {picture && picture !== 'failed' ? (
          <Image source={{ uri: picture }} style={styles.image} resizeMode="contain" accessible={false} />
        ) : picture === 'failed' ? (
          <Icon source="alert-outline" size={24} color={colours.clay} />
        ) : (
          <Spinner />
        )}
      </View>
      <View style={styles.grow}>
        <Text style={[styles.name, { color: colours.ink }]}>{sheet.name}</Text>
        <Text style={{ color: colours.inkSoft }}>
          {`${number} · ${sheet.paper} ${sheet.across ? 'across' : 'upright'}${sheet.revision ? ` · revision ${sheet.revision}` : ''}`}
        </Text>
      </View>
    </Pressable>
  );
}
/** px */
const THUMB = 240;

const styles = StyleSheet.create({
  list: { paddingBottom: 24, maxWidth: 720 },
  sets: { padding: 14, gap: 10 },
  /** As far out as what stands under it. */
  papers: { marginHorizontal: -10 },
  words: { fontSize: 15, lineHeight: 21 },
  set: {
    flexDirection: 'row',
    gap: 14,
    alignItems: 'center',
    padding: 12,
    borderWidth: 1,
    borderRadius: 15,
    minHeight: TOUCH + 12,
  },
  label: { fontFamily: FONTS.strong, fontSize: 16 },
  grow: { flex: 1 },
  line: { flexDirection: 'row', gap: 14, alignItems: 'center', padding: 12, borderTopWidth: 1 },
  thumb: { width: 92, height: 92, alignItems: 'center', justifyContent: 'center', borderRadius: 6 },
  image: { width: 84, height: 84 },
  name: { fontFamily: FONTS.serif, fontSize: 18 },
});
