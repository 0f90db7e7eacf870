import type { FinishLook, FinishStuff } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { laterRooms } from '../../../../core-later/to-come';
import { BarButton, BarIcon } from '../../../../ui/BarButton';
import { FONTS, useColours } from '../../../../ui/theme';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import { lent } from '../../later/lent';
import { Bar } from '../bars/Bar';
import { LookForm } from './LookForm';
import { meanColour } from './mean-colour';
import { NowOn, Stock } from './Stock';
import { LISTED, type Subject, onOf, scopeInWords, scopesOf, subjectInWords } from './subject';
import { TrimForm } from './TrimForm';

const { PLAIN_LOOK, finishLookOf, finishOf, ofOption, partsOfSurface } = laterRooms();
const {
  DropMenu,
  FINISH_STUFFS,
  capital,
  edit,
  keepFinish,
  pickFiles,
  pictureFrom,
  planActions,
  selectOption,
  store,
  useAppDispatch,
  useAppSelector,
} = lent();

/** Surfaces are finished: one is tapped or chosen by name, then what it shall look like. */
export function FinishBar({
  house,
  subject,
  choose,
  picking,
  setPicking,
  room,
  close,
}: {
  house: HouseToDraw;
  subject: Subject | null;
  choose(subject: Subject | null): void;
  /** The next tap takes over the look of what is tapped. */
  picking: boolean;
  setPicking(on: boolean): void;
  /** The room that is looked at, for who chooses by name. */
  room: string | null;
  close(): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const option = useAppSelector(selectOption);
  const on = subject && onOf(subject);
  const look = subject && finishLookOf(subject.surface, { finishes: ofOption(plan.finishes, option) });
  const [stuff, setStuff] = useState<FinishStuff | null>(null);
  const [forming, setForming] = useState(false);
  const [everywhere, setEverywhere] = useState(false);
  const into = everywhere ? null : option;
  const ofThis = (option !== null && plan.options[option]?.name) || 'this option';
  const shown = stuff ?? look?.stuff ?? 'paint';
  const lay = (to: FinishLook | null): boolean => {
    if (!on || !subject) return false;
    if (!dispatch(edit({ kind: 'layFinish', on: [on], along: on.what === 'wall', look: to, option: into })).ok)
      return false;
    const finishes = store.getState().plan.plan?.finishes ?? {};
    const covers = finishOf(subject.surface, { finishes: ofOption(finishes, option) });
    if (everywhere && covers && covers.option !== '')
      dispatch(
        planActions.said({
          text: `${to ? 'Laid' : 'Taken off'} in all options. Here ${ofThis} has a look of its own, and keeps it.`,
          tone: 'said',
        }),
      );
    return true;
  };
  const ownPicture = () =>
    void pickFiles({ accept: 'image/*', several: false }).then(async ([file]) => {
      const picture = file && (await dispatch(pictureFrom(file)));
      if (!picture) return;
      const across = Math.round((1000 * picture.height) / picture.width);
      const name = file.name.replace(/\.\w+$/, '').slice(0, 60);
      if (
        lay({
          ...PLAIN_LOOK,
          stuff: 'picture',
          name,
          picture: picture.picture,
          along: 1000,
          across: Math.max(1, across),
          colour: await meanColour(file).catch(() => '#FFFFFF'),
        })
      )
        setForming(true);
    });
  const scopes = subject ? scopesOf(subject.surface).filter(({ of, what }) => what === 'house' || of !== '-') : [];
  const kind = subject ? partsOfSurface(subject.surface).kind : null;
  const trim = kind === 'skirting' || kind === 'cornice' || kind === 'board' ? kind : null;
  const rooms = house.walkable.floors.flatMap((floor) => floor.rooms);
  const listRoom = room ?? rooms[0]?.room ?? null;
  const ofRoom = subject
    ? partsOfSurface(subject.surface).of.find((id) => rooms.some((each) => each.room === id))
    : undefined;
  const listed = ofRoom ?? listRoom;
  return (
    <View testID="finishes">
      <Bar>
        <Text style={[styles.what, { color: colours.ink }]} role="status" testID="finish-subject">
          {subject ? subjectInWords(subject, plan, house) : 'Tap what is to be finished'}
        </Text>
        <DropMenu
          icon="format-list-numbered"
          says="Choose what is finished by name"
          entries={[
            ...LISTED.flatMap(([title, of]) => (listed === null ? [] : [{ title, onPress: () => choose(of(listed)) }])),
            ...rooms
              .filter((each) => each.room !== listed)
              .map((each) => ({ title: `Walls, ${each.name}`, onPress: () => choose(LISTED[0]![1](each.room)) })),
          ]}
        />
        <BarIcon icon="close" says="Close the finishes" onPress={close} />
      </Bar>
      {subject && on && (
        <ScrollView style={styles.scroll}>
          <View style={styles.rows}>
            {(scopes.length > 1 || option !== null) && (
              <View style={styles.row} role="group" aria-label="How much of it, and in which option">
                {scopes.length > 1 &&
                  scopes.map((each) => (
                    <BarButton
                      key={each.what}
                      label={scopeInWords(each)}
                      chosen={on.what === each.what}
                      onPress={() => choose({ ...subject, scope: each.what })}
                    />
                  ))}
                {option !== null && (
                  <BarButton
                    label={everywhere ? 'In all options' : `Only in ${ofThis}`}
                    says={everywhere ? 'It is laid in all options. Change.' : `It is laid only in ${ofThis}. Change.`}
                    chosen={everywhere}
                    onPress={() => setEverywhere(!everywhere)}
                  />
                )}
              </View>
            )}
            {trim && <TrimForm part={trim} room={on.what === 'room' ? on.of : null} option={into} />}
            <View style={styles.row}>
              <NowOn look={look} />
              <BarButton
                label={picking ? 'Tap a look' : 'Pick'}
                says="Pick a look that is in the house already"
                chosen={picking}
                onPress={() => setPicking(!picking)}
              />
              <DropMenu
                icon="dots-vertical"
                says="More of this finish"
                entries={[
                  { title: 'Take off', icon: 'undo-variant', onPress: () => lay(null) },
                  ...(look
                    ? [
                        {
                          title: 'Keep for later jobs',
                          icon: 'star-outline',
                          onPress: () => dispatch(keepFinish(look)),
                        },
                      ]
                    : []),
                  { title: 'A picture of my own', icon: 'image-outline', onPress: ownPicture },
                ]}
              />
            </View>
            <View style={styles.row}>
              <DropMenu
                icon="menu-down"
                label={capital(shown)}
                says="What it is finished with. Change."
                entries={FINISH_STUFFS.map((each) => ({
                  title: each === 'picture' ? 'A picture of my own' : capital(each),
                  icon: shown === each ? 'check' : 'blank',
                  onPress: () => {
                    // what there is of it, whatever was looked at before
                    setForming(false);
                    if (each === 'picture') ownPicture();
                    else setStuff(each);
                  },
                }))}
              />
              {look && look.stuff === shown && (
                <BarButton
                  label={look.stuff === 'paint' ? 'Any colour' : 'Sizes'}
                  says={look.stuff === 'paint' ? 'Any colour, and sheen' : 'Sizes, joints and how it is laid'}
                  chosen={forming}
                  onPress={() => setForming(!forming)}
                />
              )}
            </View>
            {forming && look && look.stuff === shown ? (
              <LookForm look={look} change={(to) => lay({ ...look, ...to })} />
            ) : (
              shown !== 'picture' && (
                <Stock
                  stuff={shown}
                  now={look}
                  take={(to) => {
                    if (lay(to)) setStuff(null);
                    else dispatch(planActions.said({ text: 'That could not be laid there.', tone: 'refused' }));
                  }}
                />
              )
            )}
          </View>
        </ScrollView>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  what: { flex: 1, minWidth: 140, fontFamily: FONTS.serif, fontSize: 17, paddingLeft: 6 },
  scroll: { maxHeight: 340, flexGrow: 0 },
  rows: { gap: 6, paddingTop: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, paddingHorizontal: 10 },
});
