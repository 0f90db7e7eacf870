import type { AxonometricOf, PictureDetails, Sheet, SheetFrame } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, LOW, WIDE, useColours } from '../../../ui/theme';
import type { FrameShown, PageShown } from '../../../workers/files.worker';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { Leave } from './Leave';
import { PageView } from './PageView';
import { Papers } from './Papers';
import { SheetForm } from './SheetForm';
import { sayWrong } from './say-wrong';
import { usePage } from './use-pages';

const {
  DropMenu,
  LOOKS,
  capital,
  edit,
  filesWorker,
  floorsInOrder,
  lookName,
  pickFiles,
  pictureFrom,
  useAppDispatch,
  useAppSelector,
  Written,
  formatLength,
  parseLength,
  planActions,
} = lent();

type Side = 'leave' | 'page' | 'add' | 'words';
const SIDES: readonly { readonly side: Side; readonly label: string }[] = [
  { side: 'leave', label: 'Leave with' },
  { side: 'add', label: 'Put on it' },
  { side: 'page', label: 'Page' },
  { side: 'words', label: 'Words' },
];

/** One sheet as it will print: its parts moved on it by finger, and what can be done with it and with them. */
export function SheetEditor({ sheet, of, close }: { sheet: Sheet; of: number; close(): void }) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const beside = width >= WIDE || (width > height && height < LOW);
  const page = usePage(sheet.id);
  const [chosen, choose] = useState<string | null>(null);
  const [side, setSide] = useState<Side>('leave');
  const shown = page && page !== 'failed' ? page : null;
  const frame = shown?.frames.find(({ id }) => id === chosen);
  return (
    <View testID="sheet-editor" accessibilityLabel={sheet.name} style={styles.all}>
      <View style={styles.head}>
        <BarIcon icon="arrow-left" says="All sheets" onPress={close} />
        <Text style={[styles.title, { color: colours.ink }]} numberOfLines={1}>
          {sheet.name}
        </Text>
      </View>
      <View style={beside ? styles.columns : styles.rows}>
        <View style={[styles.page, { backgroundColor: colours.linen }]}>
          {page === 'failed' && (
            <Text style={[styles.said, { color: colours.clay }]}>
              The page could not be drawn: a picture on it is not on this device, or the page has to be loaded again.
            </Text>
          )}
          {shown && <PageView page={shown} chosen={chosen} choose={choose} />}
        </View>
        <ScrollView style={beside ? styles.side : styles.foot} tabIndex={0}>
          {shown?.says.map((words) => (
            <Text key={words} testID="page-says" style={[styles.said, { color: colours.clay }]}>
              {words}
            </Text>
          ))}
          {frame ? (
            <FrameTiles frame={frame} done={() => choose(null)} />
          ) : (
            <>
              <ListBar>
                {SIDES.map((each) => (
                  <BarButton
                    key={each.side}
                    label={each.label}
                    chosen={side === each.side}
                    onPress={() => setSide(each.side)}
                  />
                ))}
              </ListBar>
              {side === 'leave' && <Leave ids={[sheet.id]} what="This sheet" />}
              {side === 'page' && <PageTiles sheet={sheet} of={of} close={close} />}
              {side === 'add' && <AddTiles sheet={sheet} shown={shown} choose={choose} />}
              {side === 'words' && <SheetForm sheet={sheet} />}
            </>
          )}
        </ScrollView>
      </View>
    </View>
  );
}

/** A floor that is drawn in space: how, from which corner, cut how high. */
function InSpace({ frame, shows }: { frame: string; shows: AxonometricOf }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const { form, corner, cut } = shows;
  const draw = (drawn: Partial<Omit<AxonometricOf, 'floor'>>): boolean =>
    dispatch(edit({ kind: 'changeFrame', frame, drawn })).ok;
  const cutAt = (text: string): boolean => {
    if (text.trim() === '') return draw({ cut: null });
    const read = parseLength(text, units === 'metric' ? 'm' : 'ft');
    if (read.ok) return draw({ cut: read.mm });
    dispatch(planActions.said({ text: read.reason, tone: 'refused' }));
    return false;
  };
  return (
    <ListBar>
      <BarButton label="Isometric" chosen={form === 'isometric'} onPress={() => draw({ form: 'isometric' })} />
      <BarButton label="Planometric" chosen={form === 'planometric'} onPress={() => draw({ form: 'planometric' })} />
      <BarButton
        icon="rotate-right"
        label="Turn"
        says="See it from the next corner"
        onPress={() => draw({ corner: (corner + 1) % 4 })}
      />
      <Written
        key={String(cut)}
        style={styles.typed}
        label="Cut at"
        value={cut === null ? '' : formatLength(cut, units)}
        keep={cutAt}
      />
    </ListBar>
  );
}

/** By key, and finer than a finger, mm of paper. */
const NUDGE = 5;
const NUDGES = [
  ['arrow-left', 'to the left', -1, 0],
  ['arrow-up', 'up', 0, -1],
  ['arrow-down', 'down', 0, 1],
  ['arrow-right', 'to the right', 1, 0],
] as const;

/** What can be done with a part of the page: its scale, its look; taken off. */
function FrameTiles({ frame, done }: { frame: FrameShown; done(): void }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const { id, name } = frame;
  const { shows } = frame.frame;
  const change = (to: Partial<Pick<SheetFrame, 'at' | 'scale' | 'look'>>) =>
    dispatch(edit({ kind: 'changeFrame', frame: id, to }));
  return (
    <View testID="frame-tiles">
      <Text style={[styles.name, { color: colours.ink }]}>{name}</Text>
      {frame.scales.length > 0 && (
        <>
          <ListBar>
            {frame.scales.map(({ scale, words, fits }) => (
              <BarButton
                key={scale}
                label={fits ? words : `${words} !`}
                says={`Scale ${words}${fits ? '' : ', which does not fit'}`}
                chosen={frame.frame.scale === scale}
                onPress={() => change({ scale })}
              />
            ))}
          </ListBar>
          {shows.kind === 'axonometric' && <InSpace frame={id} shows={shows} />}
          {shows.kind !== 'picture' && shows.kind !== 'axonometric' && (
            <ListBar>
              {[...LOOKS, ...Object.keys(plan.looks)].map((look) => (
                <BarButton
                  key={look}
                  label={capital(lookName(plan, look))}
                  says={`Look: ${lookName(plan, look)}`}
                  chosen={frame.frame.look === look}
                  onPress={() => change({ look })}
                />
              ))}
            </ListBar>
          )}
        </>
      )}
      <ListBar>
        <BarButton
          icon="trash-can-outline"
          label="Take off"
          says={`Take ${name} off the sheet`}
          onPress={() => dispatch(edit({ kind: 'removeFrame', frame: id })).ok && done()}
        />
        <BarButton strong icon="check" label="Done" onPress={done} />
      </ListBar>
      <ListBar>
        {NUDGES.map(([icon, way, dx, dy]) => (
          <BarIcon
            key={way}
            icon={icon}
            says={`${NUDGE} mm ${way}`}
            onPress={() => change({ at: { x: frame.frame.at.x + dx * NUDGE, y: frame.frame.at.y + dy * NUDGE } })}
          />
        ))}
      </ListBar>
    </View>
  );
}

/** Paper and place of the sheet; taken away. */
function PageTiles({ sheet, of, close }: { sheet: Sheet; of: number; close(): void }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const { id, paper, across, name } = sheet;
  const lay = (page: Pick<Sheet, 'paper' | 'across'>) =>
    void filesWorker()
      .then((files) => files.otherPage(plan, id, page))
      .then((frames) => dispatch(edit({ kind: 'changeSheet', sheet: id, page: { ...page, frames } })))
      .catch(sayWrong(dispatch));
  return (
    <>
      <Papers paper={paper} take={(each) => lay({ paper: each, across })} />
      <ListBar>
        <BarButton label="Upright" chosen={!across} onPress={() => lay({ paper, across: false })} />
        <BarButton label="Across" chosen={across} onPress={() => lay({ paper, across: true })} />
      </ListBar>
      <ListBar>
        {of > 1 && (
          <>
            <BarButton
              icon="arrow-up"
              label="Before"
              says="Before the sheet that is before it"
              onPress={() => dispatch(edit({ kind: 'orderSheet', sheet: id, by: -1 }))}
            />
            <BarButton
              icon="arrow-down"
              label="After"
              says="After the sheet that is after it"
              onPress={() => dispatch(edit({ kind: 'orderSheet', sheet: id, by: 1 }))}
            />
          </>
        )}
        <BarButton
          icon="trash-can-outline"
          label="Remove sheet"
          says={`Remove sheet ${name}`}
          onPress={() => dispatch(edit({ kind: 'removeSheet', sheet: id })).ok && close()}
        />
      </ListBar>
    </>
  );
}

const OF_A_ROOM = [
  { kind: 'room', icon: 'square-outline', label: 'A room', says: 'Plan of one room' },
  { kind: 'elevations', icon: 'wall', label: 'Walls of a room', says: 'Walls of a room, from inside' },
] as const;

/** What else can be put on the sheet: floors, schedules, rooms, areas. */
function AddTiles({ sheet, shown, choose }: { sheet: Sheet; shown: PageShown | null; choose(frame: string): void }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const floors = floorsInOrder(plan);
  const rooms = Object.values(plan.rooms).sort((a, b) => a.name.localeCompare(b.name));
  const put = (shows: SheetFrame['shows'], look: string) =>
    void filesWorker()
      .then((files) => files.part(plan, sheet.id, { shows, look }))
      .then((frame) => {
        const result = dispatch(edit({ kind: 'addFrame', sheet: sheet.id, frame }));
        if (result.ok && result.made) choose(result.made);
      })
      .catch(sayWrong(dispatch));
  const picture = (details: PictureDetails | null) => details && put({ kind: 'picture', ...details }, 'bare');
  const bring = () =>
    void pickFiles({ accept: 'image/*', several: false }).then(async ([file]) => {
      if (file) picture(await dispatch(pictureFrom(file)));
    });
  const look = shown?.frames.find(({ frame }) => frame.shows.kind === 'plan')?.frame.look ?? 'on site';
  return (
    <>
      {shown && shown.frames.length > 0 && (
        <View role="group" accessibilityLabel="What is on it">
          <ListBar>
            {shown.frames.map(({ id, name }) => (
              <BarButton key={id} icon="cursor-move" label={name} says={`Part: ${name}`} onPress={() => choose(id)} />
            ))}
          </ListBar>
        </View>
      )}
      {floors.map(({ id, name }) => (
        <ListBar key={id}>
          <BarButton label={name} says={`Plan of ${name}`} onPress={() => put({ kind: 'plan', floor: id }, look)} />
          <BarButton
            icon="door"
            label="Openings"
            says={`Doors and windows of ${name}`}
            onPress={() => put({ kind: 'openings', floor: id }, 'bare')}
          />
          <BarButton
            icon="table"
            label="Rooms"
            says={`Rooms of ${name}`}
            onPress={() => put({ kind: 'rooms', floor: id }, 'bare')}
          />
          <BarButton
            icon="sofa-outline"
            label="Pieces"
            says={`Pieces of ${name}`}
            onPress={() => put({ kind: 'pieces', floor: id }, 'bare')}
          />
          <BarButton
            icon="cube-outline"
            label="In space"
            says={`${name} in space`}
            onPress={() => put({ kind: 'axonometric', floor: id, form: 'isometric', corner: 0, cut: 1200 }, 'bare')}
          />
        </ListBar>
      ))}
      <ListBar>
        {rooms.length > 0 &&
          OF_A_ROOM.map(({ kind, icon, label, says }) => (
            <DropMenu
              key={kind}
              icon={icon}
              label={label}
              says={says}
              entries={rooms.map(({ id, name }) => ({
                title: name || 'Unnamed',
                onPress: () => put({ kind, room: id }, kind === 'room' ? look : 'bare'),
              }))}
            />
          ))}
        <DropMenu
          icon="image-outline"
          label="Picture"
          says="A picture"
          entries={[
            { title: 'Bring one in', icon: 'plus', onPress: bring },
            ...Object.values(plan.taken).map(({ name, picture: id, width, height }) => ({
              title: name,
              onPress: () => picture({ picture: id, width, height }),
            })),
            ...Object.values(plan.underlays).map(({ name, picture: id, width, height }) => ({
              title: name,
              onPress: () => picture({ picture: id, width, height }),
            })),
          ]}
        />
        <BarButton
          icon="texture-box"
          label="Areas"
          says="Areas of the house"
          onPress={() => put({ kind: 'areas' }, 'bare')}
        />
      </ListBar>
    </>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  typed: { width: 118, height: 44, fontFamily: FONTS.sans },
  head: { flexDirection: 'row', alignItems: 'center' },
  title: { flex: 1, fontFamily: FONTS.serif, fontSize: 20 },
  rows: { flex: 1, minHeight: 0 },
  columns: { flex: 1, minHeight: 0, flexDirection: 'row' },
  page: { flex: 1, minHeight: 0 },
  foot: { flexGrow: 0, maxHeight: '46%', paddingTop: 8 },
  side: { flexGrow: 0, width: 330, paddingTop: 8 },
  said: { paddingHorizontal: 14, paddingBottom: 8, fontSize: 14.5, lineHeight: 20 },
  name: { paddingHorizontal: 14, paddingBottom: 6, fontFamily: FONTS.strong, fontSize: 16 },
});
