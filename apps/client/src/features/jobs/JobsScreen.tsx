import { JOB_STATES, type JobSummary } from '@velvet-tape/contract/list';
import { formatArea, roughly } from '@velvet-tape/core/units';
import { useFocusEffect, useRouter } from 'expo-router';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, TextInput, View } from 'react-native';
import { ActivityIndicator, Button, Icon, Text } from 'react-native-paper';
import type { Trouble } from '../../sync/database';
import { ALL_JOBS, type JobsFound, type Wanted, currentJobs, somethingWaits, standJob } from '../../sync/listing';
import { BarButton, BarIcon } from '../../ui/BarButton';
import { capital } from '../../ui/capital';
import { SyncTrouble } from '../../ui/SyncTrouble';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { ago } from './ago';
import { bringInJob } from './bring-in';

const sync = async () => (await import('../../heart')).syncEngine();

type State = { kind: 'loading' } | { kind: 'failed'; reason: string } | ({ kind: 'ready' } & JobsFound);

/** The list of jobs: each with its rooms, total area, and when it was last touched; found by name or address, looked after by its menu. */
export function JobsScreen() {
  const colours = useColours();
  const router = useRouter();
  const [state, setState] = useState<State>({ kind: 'loading' });
  const [wanted, setWanted] = useState(ALL_JOBS);
  const [refused, setRefused] = useState('');
  const latest = useRef(0);
  const load = useCallback(
    (after: string | null = null, before: readonly JobSummary[] = []) => {
      // of two answers the one to what was asked last counts
      const asked = (latest.current += 1);
      const current = () => latest.current === asked;
      // what waits goes up from here too; else nothing that knows plans is needed
      void somethingWaits().then((waits) => (waits ? sync() : null));
      currentJobs(wanted, after, before).then(
        (found) => current() && setState({ kind: 'ready', ...found }),
        (error: unknown) => current() && setState({ kind: 'failed', reason: inWords(error) }),
      );
      return () => {
        if (current()) latest.current += 1;
      };
    },
    [wanted],
  );
  useFocusEffect(useCallback(() => load(), [load]));
  const does = (what: () => Promise<unknown>) => {
    setRefused('');
    what().then(
      () => load(),
      (error: unknown) => setRefused(inWords(error)),
    );
  };
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
        <Finder wanted={wanted} want={setWanted} />
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
            <Text style={{ color: colours.clay }}>
              {wanted.bin ? 'Offline. The bin is on the server.' : 'Offline. These are the jobs this device knows.'}
            </Text>
          </View>
        )}
        {state.kind === 'ready' &&
          state.jobs.map((job) => (
            <JobLine
              key={job.id}
              job={job}
              bin={wanted.bin}
              trouble={state.trouble.get(job.id)}
              onDone={() => load()}
              does={does}
            />
          ))}
        {state.kind === 'ready' && state.next !== null && (
          <Button mode="outlined" contentStyle={styles.tall} onPress={() => load(state.next, state.jobs)}>
            {wanted.order === 'touched' ? 'Earlier jobs' : 'More jobs'}
          </Button>
        )}
        {state.kind === 'ready' && state.jobs.length === 0 && !(state.offline && wanted.bin) && (
          <Text style={styles.wait}>{emptyWords(wanted)}</Text>
        )}
      </ScrollView>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        {refused !== '' && (
          <Text role="alert" style={[styles.refused, { color: colours.clay }]}>
            {refused}
          </Text>
        )}
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
              (error: unknown) => setRefused(inWords(error)),
            )
          }
        >
          Bring in a job file
        </Button>
      </View>
    </View>
  );
}

const inWords = (error: unknown): string => (error instanceof Error ? error.message : String(error));

const emptyWords = ({ find, bin }: Wanted): string => {
  if (find) return `No job ${bin ? 'in the bin ' : ''}has “${find}” in its name or address.`;
  return bin ? 'The bin is empty.' : 'No jobs yet. Start with the house you are standing in.';
};

/** By what jobs are found, in which order they stand, and the bin. */
function Finder({ wanted, want }: { wanted: Wanted; want(wanted: Wanted): void }) {
  const colours = useColours();
  const [text, setText] = useState(wanted.find);
  // while someone types nothing is asked yet
  useEffect(() => {
    const timer = setTimeout(() => text.trim() !== wanted.find && want({ ...wanted, find: text.trim() }), WAIT);
    return () => clearTimeout(timer);
  }, [text, want, wanted]);
  return (
    <View style={styles.finder}>
      <TextInput
        accessibilityLabel="Find by name or address"
        placeholder="Find by name or address"
        placeholderTextColor={colours.inkSoft}
        value={text}
        onChangeText={setText}
        maxLength={120}
        style={[styles.find, { color: colours.ink, backgroundColor: colours.chalk, borderColor: colours.rim }]}
      />
      <BarButton
        icon="sort"
        label={wanted.order === 'touched' ? 'Last touched' : 'By name'}
        says={`In order ${wanted.order === 'touched' ? 'as last touched' : 'by name'}. Change.`}
        onPress={() => want({ ...wanted, order: wanted.order === 'touched' ? 'name' : 'touched' })}
      />
      <BarButton
        icon="delete-outline"
        label="Bin"
        chosen={wanted.bin}
        onPress={() => want({ ...wanted, bin: !wanted.bin })}
      />
    </View>
  );
}
/** ms */
const WAIT = 250;

interface LineProps {
  job: JobSummary;
  bin: boolean;
  trouble: Trouble | undefined;
  onDone: () => void;
  /** Does it, and lists anew, or says why it can’t be done. */
  does(what: () => Promise<unknown>): void;
}

function JobLine({ job, bin, trouble, onDone, does }: LineProps) {
  const colours = useColours();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const rooms = `${job.rooms} ${job.rooms === 1 ? 'room' : 'rooms'}`;
  const area = roughly(job.rough, formatArea(job.area, job.units));
  const touched = ago(new Date(job.touched));
  const state = job.state === 'measuring' ? '' : ` · ${job.state}`;
  return (
    <View style={[styles.job, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <View style={styles.row}>
        <Pressable
          accessibilityRole="link"
          accessibilityLabel={`${job.name}, ${rooms}, ${area}`}
          disabled={bin}
          onPress={() => router.push(`/job/${job.id}`)}
          style={styles.opens}
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
          >{`${rooms} · ${job.units === 'metric' ? 'metric' : 'feet and inches'} · touched ${touched}${state}`}</Text>
        </Pressable>
        {!bin && (
          <BarIcon
            icon="dots-vertical"
            says={`${open ? 'Less' : 'More'} about ${job.name}`}
            onPress={() => setOpen(!open)}
          />
        )}
      </View>
      {bin && (
        <View style={styles.actions}>
          <BarButton
            strong
            icon="undo-variant"
            label="Give it back"
            says={`Give ${job.name} back`}
            onPress={() => does(() => standJob(job.id, { binned: false }))}
          />
        </View>
      )}
      {open && !bin && (
        <View style={styles.actions}>
          {JOB_STATES.map((each) => (
            <BarButton
              key={each}
              label={capital(each)}
              chosen={job.state === each}
              onPress={() => does(() => standJob(job.id, { state: each }))}
            />
          ))}
          <BarButton
            icon="content-copy"
            label="Copy"
            says={`Copy ${job.name}`}
            onPress={() => does(async () => (await import('../../heart')).copyJob(job.id))}
          />
          <BarButton
            icon="delete-outline"
            label="Into the bin"
            says={`${job.name} into the bin`}
            onPress={() => does(() => standJob(job.id, { binned: true }))}
          />
        </View>
      )}
      {trouble && (
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
      )}
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
  job: { borderRadius: 12, borderWidth: 1, paddingVertical: 14, paddingLeft: 16, paddingRight: 6, gap: 6 },
  row: { flexDirection: 'row', alignItems: 'center' },
  opens: { flex: 1, gap: 3, minHeight: TOUCH },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  finder: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  find: {
    flexGrow: 1,
    flexBasis: '100%',
    minHeight: TOUCH,
    borderWidth: 1,
    borderRadius: 10,
    paddingHorizontal: 12,
    fontSize: 16,
    fontFamily: FONTS.sans,
  },
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
