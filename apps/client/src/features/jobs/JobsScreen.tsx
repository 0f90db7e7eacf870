import type { JobSummary } from '@velvet-tape/contract/list';
import { useFocusEffect, useRouter } from 'expo-router';
import { useCallback, useEffect, useRef, useState } from 'react';
import { FlatList, StyleSheet, TextInput, View } from 'react-native';
import { Button, Icon, Text } from 'react-native-paper';
import { ALL_JOBS, type JobsFound, type Wanted, currentJobs, somethingWaits } from '../../sync/listing';
import { BarButton } from '../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { inWords } from '../../ui/in-words';
import { useTitle } from '../../ui/use-title';
import { bringInJob } from './bring-in';
import { JobLine } from './JobLine';
import { Spinner } from '../../ui/Spinner';

const sync = async () => (await import('../../heart')).syncEngine();

type State = { kind: 'loading' } | { kind: 'failed'; reason: string } | ({ kind: 'ready' } & JobsFound);

/** The list of jobs: each with its rooms, total area, and when it was last touched; found by name or address, looked after by its menu. */
export function JobsScreen() {
  const colours = useColours();
  const router = useRouter();
  useTitle();
  const [state, setState] = useState<State>({ kind: 'loading' });
  const [wanted, setWanted] = useState(ALL_JOBS);
  const [refused, setRefused] = useState('');
  const latest = useRef(0);
  const asked = useRef<string | null>(null);
  const list = useRef<FlatList<JobSummary>>(null);
  const load = useCallback(
    (after: string | null = null, before: readonly JobSummary[] = []) => {
      // of two answers the one to what was asked last counts
      const own = (latest.current += 1);
      const current = () => latest.current === own;
      // what waits goes up from here too; else nothing that knows plans is needed
      void somethingWaits().then((waits) => (waits ? sync() : null));
      if (after === null) asked.current = null;
      currentJobs(wanted, after, before).then(
        (found) => current() && setState({ kind: 'ready', ...found }),
        (error: unknown) => {
          if (!current()) return;
          if (after === null) setState({ kind: 'failed', reason: inWords(error) });
          else setRefused(`The list could not be read further: ${inWords(error)}`);
        },
      );
      return () => {
        if (current()) latest.current += 1;
      };
    },
    [wanted],
  );
  // again when the connection is back: what was shown meanwhile was what this device knows
  useFocusEffect(
    useCallback(() => {
      const stop = load();
      const back = () => void load();
      globalThis.addEventListener?.('online', back);
      return () => {
        globalThis.removeEventListener?.('online', back);
        stop();
      };
    }, [load]),
  );
  const again = useCallback(() => void load(), [load]);
  const does = useCallback(
    (what: () => Promise<unknown>) => {
      setRefused('');
      what().then(again, (error: unknown) => setRefused(inWords(error)));
    },
    [again],
  );
  const want = useCallback((next: Wanted) => {
    list.current?.scrollToOffset({ offset: 0, animated: false });
    setWanted(next);
  }, []);
  /** The next page, once. */
  const more = () => {
    if (state.kind !== 'ready' || state.next === null || asked.current === state.next) return;
    asked.current = state.next;
    load(state.next, state.jobs);
  };
  const jobs = state.kind === 'ready' ? state.jobs : [];
  const trouble = state.kind === 'ready' ? state.trouble : null;
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
      <FlatList
        ref={list}
        data={jobs}
        keyExtractor={({ id }) => id}
        renderItem={({ item }) => (
          <View style={styles.width}>
            <JobLine job={item} bin={wanted.bin} trouble={trouble?.get(item.id)} onDone={again} does={does} />
          </View>
        )}
        initialNumToRender={12}
        maxToRenderPerBatch={8}
        windowSize={7}
        onEndReached={more}
        onEndReachedThreshold={3}
        contentContainerStyle={styles.list}
        ListHeaderComponent={
          <View style={[styles.width, styles.above]}>
            <Finder wanted={wanted} want={want} />
            {state.kind === 'loading' && <Spinner style={styles.wait} />}
            {state.kind === 'failed' && (
              <View style={styles.wait}>
                <Text>{`The jobs could not be read: ${state.reason}`}</Text>
                <Button onPress={again}>Try again</Button>
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
            {state.kind === 'ready' && jobs.length === 0 && !(state.offline && wanted.bin) && (
              <Text style={styles.wait}>{emptyWords(wanted)}</Text>
            )}
          </View>
        }
        ListFooterComponent={
          state.kind === 'ready' && state.next !== null ? (
            <Spinner says="More jobs are coming" style={styles.wait} />
          ) : null
        }
      />
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
        <View style={styles.others}>
          <Button
            icon="home-group"
            contentStyle={styles.file}
            onPress={() =>
              void import('../../heart')
                .then((heart) => heart.startPractice())
                .then(
                  (id) => router.push(`/job/${id}`),
                  (error: unknown) => setRefused(inWords(error)),
                )
            }
          >
            Practice house
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
    </View>
  );
}

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

const styles = StyleSheet.create({
  screen: { flex: 1 },
  head: { paddingTop: 22 },
  width: { width: '100%', maxWidth: 720, alignSelf: 'center' },
  title: { fontFamily: FONTS.serif, fontSize: 32, lineHeight: 40, color: '#F8F2E7', paddingHorizontal: 20 },
  motto: { color: '#E9D9B0', fontSize: 16, paddingHorizontal: 20, paddingBottom: 14 },
  tape: { height: 16, flexDirection: 'row', justifyContent: 'space-between', overflow: 'hidden' },
  tick: { width: 1, backgroundColor: '#211524' },
  list: { padding: 14 },
  above: { gap: 10, paddingBottom: 10 },
  wait: { padding: 24, alignSelf: 'center', fontSize: 16, textAlign: 'center' },
  offline: { flexDirection: 'row', gap: 8, alignItems: 'center', paddingHorizontal: 4 },
  finder: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  find: {
    flexGrow: 1,
    flexBasis: '100%',
    minWidth: 0,
    maxWidth: '100%',
    minHeight: TOUCH,
    borderWidth: 1,
    borderRadius: 10,
    paddingHorizontal: 12,
    fontSize: 16,
    fontFamily: FONTS.sans,
  },
  foot: { padding: 12, borderTopWidth: 1 },
  tall: { minHeight: 56 },
  others: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'center', columnGap: 8 },
  file: { minHeight: 44 },
  refused: { textAlign: 'center', fontSize: 15, paddingBottom: 4 },
  newLabel: { fontSize: 18 },
});
