import { formatArea, jobTotals, roughly } from '@velvet-tape/core';
import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, IconButton, Text } from 'react-native-paper';
import { type Command, useAppDispatch, useAppSelector } from '../../store/store';
import type { Trouble } from '../../sync/database';
import type { SyncState } from '../../sync/engine';
import { DropMenu } from '../../ui/DropMenu';
import { rem } from '../../ui/rem';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { SyncTrouble } from '../../ui/SyncTrouble';
import { FloorSwitch } from './floors/FloorSwitch';
import { downloadRooms, downloadSvg } from './downloads';
import { downloadJob } from './job-file';
import { PartsBar } from './parts/PartsBar';
import { planActions } from './plan-slice';
import { syncEngine } from './session';

/** How the job stands: in words, and in fewer where there is less room. */
const SYNC: Record<SyncState, { icon: string; words: string; short: string }> = {
  saved: { icon: 'cloud-check-outline', words: 'Saved', short: 'Saved' },
  saving: { icon: 'cloud-upload-outline', words: 'Saving', short: 'Saving' },
  offline: { icon: 'cloud-off-outline', words: 'Offline. Kept on this device', short: 'Offline, kept here' },
  refused: { icon: 'cloud-alert', words: 'Not saved on the server', short: 'Kept here only' },
};

/** The job, its total area, whether it is saved, undo and redo, and the way to leave with something. Each looks for itself: most changes are seen in one of them. */
export const Header = memo(function Header({ wide }: { wide: boolean }) {
  const router = useRouter();
  const colours = useColours();
  const [closed, setClosed] = useState<string | null>(null);
  const there = useAppSelector((state) => state.plan.plan !== null);
  if (!there) return null;
  return (
    <>
      <View style={[styles.header, { backgroundColor: colours.velvet }]}>
        <IconButton
          icon="arrow-left"
          iconColor={PALE}
          accessibilityLabel="Jobs"
          onPress={() => router.dismissTo('/')}
          style={styles.icon}
        />
        <View style={styles.title}>
          <JobName />
          <View style={styles.line}>
            <Total />
            <HowItStands wide={wide} closed={closed} close={setClosed} />
          </View>
        </View>
        {wide && <PartsBar wide />}
        {wide && <FloorSwitch colour={PALE} />}
        <Step back wide={wide} />
        <Step back={false} wide={wide} />
        <Leave />
      </View>
      <TroubleShown closed={closed} />
    </>
  );
});

function JobName() {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => state.plan.plan?.job.name ?? '');
  return (
    <View role="heading" aria-level={1}>
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`${name}: name, address, units, usual sizes, north`}
        onPress={() => dispatch(planActions.listed('details'))}
        style={styles.about}
      >
        <Text style={styles.name} numberOfLines={2}>
          {name}
        </Text>
        <Icon source="pencil-outline" size={14} color="#C9B9CC" />
      </Pressable>
    </View>
  );
}

function Total() {
  const plan = useAppSelector((state) => state.plan.plan);
  if (!plan) return null;
  const totals = jobTotals(plan);
  return (
    <Text style={styles.total} testID="job-total">
      {roughly(totals.rough, formatArea(totals.area, plan.job.units))}
    </Text>
  );
}

/** What is wrong is shown unless it was closed; what the server asks for again by itself is only said. */
const shownTrouble = (trouble: Trouble | null, closed: string | null): Trouble | null =>
  trouble && trouble.what !== 'broken' && closed !== trouble.message ? trouble : null;

interface Closing {
  /** The message that was closed. */
  closed: string | null;
  close(message: string | null): void;
}

/** Whether it is saved; what is wrong with that opens and closes at a tap. */
function HowItStands({ wide, closed, close }: Closing & { wide: boolean }) {
  // what is not on the device yet is not kept, however all before stands
  const state = useAppSelector(({ plan: { plan, known, sync } }) => (plan === known ? sync.state : 'saving'));
  const trouble = useAppSelector((root) => root.plan.sync.trouble);
  const why = useAppSelector((root) => root.plan.sync.why);
  const words = [SYNC[state].words, trouble?.message ?? why].filter(Boolean).join(': ');
  return (
    <Pressable
      style={styles.sync}
      disabled={!trouble}
      onPress={() => close(shownTrouble(trouble, closed)?.message ?? null)}
      role={trouble ? 'button' : 'status'}
      accessible
      accessibilityLabel={words}
      testID="sync"
      accessibilityLiveRegion="polite"
    >
      <Icon source={SYNC[state].icon} size={16} color={state === 'saved' ? PALE : '#E9C46A'} />
      {state !== 'saved' && (
        <Text style={styles.words} numberOfLines={1}>
          {wide ? words : SYNC[state].short}
        </Text>
      )}
    </Pressable>
  );
}

/** Takes the last edit back, or does again what was taken back; the button names it. */
function Step({ back, wide }: { back: boolean; wide: boolean }) {
  const dispatch = useAppDispatch();
  const what = useAppSelector(({ plan: { past, future } }) => (back ? past : future).at(-1)?.name ?? '');
  const label = [back ? 'Undo' : 'Redo', what].filter(Boolean).join(' ');
  return (
    <IconButton
      icon={back ? 'undo' : 'redo'}
      iconColor={PALE}
      disabled={what === ''}
      accessibilityLabel={wide ? `${label} (Ctrl ${back ? 'Z' : 'Y'})` : label}
      onPress={() => dispatch(back ? planActions.undone() : planActions.redone())}
      style={styles.icon}
    />
  );
}

/** What can be left with; of the job as it is when that is tapped. */
function Leave() {
  const dispatch = useAppDispatch();
  const kept = useAppSelector((state) => state.plan.jobId !== null);
  return (
    <DropMenu
      icon="file-export-outline"
      iconColor={PALE}
      says="Leave with something"
      entries={[
        { title: 'Plan as SVG, 1:50', icon: 'file-image-outline', onPress: () => void dispatch(leaveWithSvg) },
        { title: 'Rooms as CSV', icon: 'table', onPress: () => void dispatch(leaveWithRooms) },
        ...(kept
          ? [
              {
                title: 'All of the job, as one file',
                icon: 'archive-arrow-down-outline',
                onPress: () => void dispatch(leaveWithJob),
              },
            ]
          : []),
      ]}
    />
  );
}

const leaveWithSvg: Command = (dispatch, getState) => {
  const { plan, floor } = getState().plan;
  if (plan) void dispatch(downloadSvg(plan, floor));
};
const leaveWithRooms: Command = (dispatch, getState) => {
  const { plan } = getState().plan;
  if (plan) void dispatch(downloadRooms(plan));
};
const leaveWithJob: Command = (dispatch, getState) => {
  const { plan, jobId } = getState().plan;
  if (plan && jobId !== null) void dispatch(downloadJob(jobId, plan.job.name));
};

function TroubleShown({ closed }: { closed: string | null }) {
  const colours = useColours();
  const trouble = shownTrouble(
    useAppSelector((state) => state.plan.sync.trouble),
    closed,
  );
  const jobId = useAppSelector((state) => state.plan.jobId);
  if (!trouble || jobId === null) return null;
  return (
    <View style={[styles.trouble, { backgroundColor: colours.linen }]}>
      <SyncTrouble
        trouble={trouble}
        onAgain={() => void syncEngine().tryAgain(jobId)}
        onPutBack={() => void syncEngine().putBack(jobId)}
      />
    </View>
  );
}

const PALE = '#F8F2E7';
const styles = StyleSheet.create({
  header: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    alignContent: 'center',
    paddingHorizontal: 4,
    minHeight: 60,
  },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
  title: { flex: 1, minWidth: rem(92) },
  trouble: { padding: 8 },
  name: { fontFamily: FONTS.serif, fontSize: 18, lineHeight: 24, color: PALE },
  about: { flexDirection: 'row', alignItems: 'center', gap: 6, minHeight: 30 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  total: { flexShrink: 0, fontFamily: FONTS.strong, fontSize: 14, color: '#E9C46A', fontVariant: ['tabular-nums'] },
  sync: { flexDirection: 'row', alignItems: 'center', gap: 4, flexShrink: 1 },
  words: { fontSize: 13, color: PALE, flexShrink: 1 },
});
