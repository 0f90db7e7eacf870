import { formatArea, jobTotals, roughly } from '@velvet-tape/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
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

/** The job, its total area, whether it is saved, undo and redo, and the way to leave with something. */
export function Header({ wide }: { wide: boolean }) {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan);
  const past = useAppSelector((state) => state.plan.past);
  const future = useAppSelector((state) => state.plan.future);
  const sync = useAppSelector((state) => state.plan.sync);
  const floor = useAppSelector((state) => state.plan.floor);
  const jobId = useAppSelector((state) => state.plan.jobId);
  const known = useAppSelector((state) => state.plan.known);
  const [closed, setClosed] = useState<string | null>(null);
  if (!plan) return null;
  const { trouble } = sync;
  // what is not on the device yet is not kept, however all before stands
  const state = plan === known ? sync.state : 'saving';
  const shown = trouble && trouble.what !== 'broken' && closed !== trouble.message;
  const totals = jobTotals(plan);
  const { icon } = SYNC[state];
  const words = [SYNC[state].words, sync.trouble?.message ?? sync.why].filter(Boolean).join(': ');
  const keys = (label: string, key: string) => (wide ? `${label} (${key})` : label);
  const bar = (
    <View style={[styles.header, { backgroundColor: colours.velvet }]}>
      <IconButton
        icon="arrow-left"
        iconColor={PALE}
        accessibilityLabel="Jobs"
        onPress={() => router.dismissTo('/')}
        style={styles.icon}
      />
      <View style={styles.title}>
        <View role="heading" aria-level={1}>
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={`${plan.job.name}: name, address, units, usual sizes, north`}
            onPress={() => dispatch(planActions.listed('details'))}
            style={styles.about}
          >
            <Text style={styles.name} numberOfLines={2}>
              {plan.job.name}
            </Text>
            <Icon source="pencil-outline" size={14} color="#C9B9CC" />
          </Pressable>
        </View>
        <View style={styles.line}>
          <Text style={styles.total} testID="job-total">
            {roughly(totals.rough, formatArea(totals.area, plan.job.units))}
          </Text>
          <Pressable
            style={styles.sync}
            disabled={!trouble}
            onPress={() => setClosed(shown ? trouble.message : null)}
            role={trouble ? 'button' : 'status'}
            accessible
            accessibilityLabel={words}
            testID="sync"
            accessibilityLiveRegion="polite"
          >
            <Icon source={icon} size={16} color={state === 'saved' ? PALE : '#E9C46A'} />
            {state !== 'saved' && (
              <Text style={styles.words} numberOfLines={1}>
                {wide ? words : SYNC[state].short}
              </Text>
            )}
          </Pressable>
        </View>
      </View>
      {wide && <PartsBar wide />}
      {wide && <FloorSwitch plan={plan} colour={PALE} />}
      <IconButton
        icon="undo"
        iconColor={PALE}
        disabled={past.length === 0}
        accessibilityLabel={keys(`Undo${past.length > 0 ? ` ${past.at(-1)!.name}` : ''}`, 'Ctrl Z')}
        onPress={() => dispatch(planActions.undone())}
        style={styles.icon}
      />
      <IconButton
        icon="redo"
        iconColor={PALE}
        disabled={future.length === 0}
        accessibilityLabel={keys(`Redo${future.length > 0 ? ` ${future.at(-1)!.name}` : ''}`, 'Ctrl Y')}
        onPress={() => dispatch(planActions.redone())}
        style={styles.icon}
      />
      <DropMenu
        icon="file-export-outline"
        iconColor={PALE}
        says="Leave with something"
        entries={[
          {
            title: 'Plan as SVG, 1:50',
            icon: 'file-image-outline',
            onPress: () => void dispatch(downloadSvg(plan, floor)),
          },
          { title: 'Rooms as CSV', icon: 'table', onPress: () => void dispatch(downloadRooms(plan)) },
          ...(jobId === null
            ? []
            : [
                {
                  title: 'All of the job, as one file',
                  icon: 'archive-arrow-down-outline',
                  onPress: () => void dispatch(downloadJob(jobId, plan.job.name)),
                },
              ]),
        ]}
      />
    </View>
  );
  if (!shown || jobId === null) return bar;
  return (
    <>
      {bar}
      <View style={[styles.trouble, { backgroundColor: colours.linen }]}>
        <SyncTrouble
          trouble={trouble}
          onAgain={() => void syncEngine().tryAgain(jobId)}
          onPutBack={() => void syncEngine().putBack(jobId)}
        />
      </View>
    </>
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
