import type { JobSummary } from '@velvet-tape/contract/list';
import { formatArea, roughly } from '@velvet-tape/core/units';
import { useFocusEffect, useRouter } from 'expo-router';
import { useCallback, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { ActivityIndicator, Button, Icon, Text } from 'react-native-paper';
import type { Trouble } from '../../sync/database';
import { type JobsFound, currentJobs, somethingWaits } from '../../sync/listing';
import { SyncTrouble } from '../../ui/SyncTrouble';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { ago } from './ago';
import { bringInJob } from './bring-in';

const sync = async () => (await import('../../heart')).syncEngine();

type State = { kind: 'loading' } | { kind: 'failed'; reason: string } | ({ kind: 'ready' } & JobsFound);

/** The list of jobs: each with its rooms, total area, and when it was last touched. */
export function JobsScreen() {
  const colours = useColours();
  const router = useRouter();
  const [state, setState] = useState<State>({ kind: 'loading' });
  const [refused, setRefused] = useState('');
  const load = useCallback((after: string | null = null) => {
    let current = true;
    // what waits goes up from here too; else nothing that knows plans is needed
    void somethingWaits().then((waits) => (waits ? sync() : null));
    currentJobs(after).then(
      (found) => current && setState({ kind: 'ready', ...found }),
      (error: unknown) =>
        current && setState({ kind: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      current = false;
    };
  }, []);
  useFocusEffect(useCallback(() => load(), [load]));
  return (
    <View style={[styles.screen, { backgroundColor: colours.linen }]}>
      <View style={[styles.head, { backgroundColor: colours.velvet }]}>
        <View style={styles.width}>
          <Text style={styles.title} role="heading" aria-level={1}>
            Velvet Tape
          </Text>
          <Text style={styles.motto}>Sketch loosely, tape truly.</Text>
        </View>
        <View style={[styles.tape, { backgroundColor: colours.brass }]}>
          {Array.from({ length: 120 }, (_, i) => (
            <View key={i} style={[styles.tick, { height: i % 5 === 0 ? 10 : 5 }]} />
          ))}
        </View>
      </View>
      <ScrollView contentContainerStyle={[styles.list, styles.width]}>
        {state.kind === 'loading' && <ActivityIndicator color={colours.velvet} style={styles.wait} />}
        {state.kind === 'failed' && (
          <View style={styles.wait}>
            <Text>{`The jobs could not be read: ${state.reason}`}</Text>
            <Button onPress={() => load()}>Try again</Button>
          </View>
        )}
        {state.kind === 'ready' && state.offline && (
          <View style={styles.offline}>
            <Icon source="cloud-off-outline" size={18} color={colours.clay} />
            <Text style={{ color: colours.clay }}>Offline. These are the jobs this device knows.</Text>
          </View>
        )}
        {state.kind === 'ready' &&
          state.jobs.map((job) => <JobLine key={job.id} job={job} trouble={state.trouble.get(job.id)} onDone={load} />)}
        {state.kind === 'ready' && state.next !== null && (
          <Button mode="outlined" contentStyle={styles.tall} onPress={() => load(state.next)}>
            Earlier jobs
          </Button>
        )}
        {state.kind === 'ready' && state.jobs.length === 0 && (
          <Text style={styles.wait}>No jobs yet. Start with the house you are standing in.</Text>
        )}
      </ScrollView>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        <Button
          mode="contained"
          icon="plus"
          contentStyle={styles.tall}
          labelStyle={styles.newLabel}
          style={styles.width}
          onPress={() => router.push('/new')}
        >
          New job
        </Button>
        <Button
          icon="archive-arrow-up-outline"
          contentStyle={styles.file}
          onPress={() =>
            void bringInJob().then(
              (id) => id !== null && router.push(`/job/${id}`),
              (error: unknown) => setRefused(error instanceof Error ? error.message : String(error)),
            )
          }
        >
          Bring in a job file
        </Button>
        {refused !== '' && (
          <Text role="alert" style={[styles.refused, { color: colours.clay }]}>
            {refused}
          </Text>
        )}
      </View>
    </View>
  );
}

function JobLine({ job, trouble, onDone }: { job: JobSummary; trouble: Trouble | undefined; onDone: () => void }) {
  const colours = useColours();
  const router = useRouter();
  const rooms = `${job.rooms} ${job.rooms === 1 ? 'room' : 'rooms'}`;
  const area = roughly(job.rough, formatArea(job.area, job.units));
  const touched = ago(new Date(job.touched));
  const line = (
    <Pressable
      accessibilityRole="link"
      accessibilityLabel={`${job.name}, ${rooms}, ${area}`}
      onPress={() => router.push(`/job/${job.id}`)}
      style={[styles.job, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}
    >
      <View style={styles.jobHead}>
        <Text style={[styles.name, { color: colours.ink }]} numberOfLines={2}>
          {job.name}
        </Text>
        <Text style={[styles.area, { color: colours.ink }]} numberOfLines={1}>
          {area}
        </Text>
      </View>
      {job.address !== '' && (
        <Text style={{ color: colours.inkSoft }} numberOfLines={1}>
          {job.address}
        </Text>
      )}
      <Text
        style={[styles.facts, { color: colours.inkSoft }]}
      >{`${rooms} · ${job.units === 'metric' ? 'metric' : 'feet and inches'} · touched ${touched}`}</Text>
    </Pressable>
  );
  if (!trouble) return line;
  return (
    <View style={styles.troubled}>
      {line}
      <SyncTrouble
        trouble={trouble}
        onAgain={() =>
          void sync()
            .then((engine) => engine.tryAgain(job.id))
            .then(onDone)
        }
        onPutBack={() =>
          void sync()
            .then((engine) => engine.putBack(job.id))
            .then(onDone)
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  head: { paddingTop: 22 },
  width: { width: '100%', maxWidth: 720, alignSelf: 'center' },
  title: { fontFamily: FONTS.serif, fontSize: 32, lineHeight: 40, color: '#F8F2E7', paddingHorizontal: 20 },
  motto: { color: '#E9D9B0', fontSize: 16, paddingHorizontal: 20, paddingBottom: 14 },
  tape: { height: 16, flexDirection: 'row', justifyContent: 'space-between', overflow: 'hidden' },
  tick: { width: 1, backgroundColor: '#211524' },
  list: { padding: 14, gap: 10 },
  wait: { padding: 24, alignSelf: 'center', fontSize: 16, textAlign: 'center' },
  offline: { flexDirection: 'row', gap: 8, alignItems: 'center', paddingHorizontal: 4 },
  job: { borderRadius: 12, borderWidth: 1, padding: 16, gap: 3, minHeight: TOUCH },
  troubled: { gap: 4 },
  jobHead: { flexDirection: 'row', justifyContent: 'space-between', gap: 12, alignItems: 'baseline' },
  name: { fontFamily: FONTS.serif, fontSize: 20, lineHeight: 26, flexShrink: 1 },
  area: { flexShrink: 0, fontFamily: FONTS.strong, fontSize: 18, fontVariant: ['tabular-nums'] },
  facts: { fontSize: 14, marginTop: 4 },
  foot: { padding: 12, borderTopWidth: 1 },
  tall: { minHeight: 56 },
  file: { minHeight: 44 },
  refused: { textAlign: 'center', fontSize: 15, paddingBottom: 4 },
  newLabel: { fontSize: 18 },
});
