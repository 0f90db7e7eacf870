import type { History } from '@velvet-tape/contract';
import type { DerivedFloor, Plan } from '@velvet-tape/core';
import { useCallback, useEffect, useState } from 'react';
import { FlatList, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { BarIcon } from '../../../ui/BarButton';
import { inWords } from '../../../ui/in-words';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { Spinner } from '../../../ui/Spinner';

const { FloorPicture, NoteField, bringBack, changeBetween, changeInWords, fetchHistory, fetchRevision } = lent();
const { formatArea, jobTotals, nameRevision, roughly, useAppDispatch, useAppSelector } = lent();

type Revision = History['revisions'][number];
type State =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'ready'; readonly revisions: readonly Revision[]; readonly next: number | null };

/** How the job came to be what it is: when it was saved, and what that changed. One is looked at, named, or brought back. */
export default function HistoryList(_: { floor: DerivedFloor }) {
  const colours = useColours();
  const id = useAppSelector((state) => state.plan.jobId)!;
  const [state, setState] = useState<State>({ kind: 'loading' });
  const [looked, look] = useState<Revision | null>(null);
  const load = useCallback(
    (before: number | null, shown: readonly Revision[]) =>
      fetchHistory(id, before).then(
        ({ revisions, next }) => setState({ kind: 'ready', revisions: [...shown, ...revisions], next }),
        (error: unknown) => setState({ kind: 'failed', reason: inWords(error) }),
      ),
    [id],
  );
  useEffect(() => void load(null, []), [load]);
  if (looked)
    return (
      <ListPanel title={whenOf(looked)} testID="revision" downloads={[]}>
        <Revisited
          revision={looked}
          back={() => look(null)}
          named={(name) => {
            look({ ...looked, name });
            void load(null, []);
          }}
        />
      </ListPanel>
    );
  return (
    <ListPanel title="History" testID="history" downloads={[]}>
      {state.kind === 'loading' && <Spinner style={styles.wait} />}
      {state.kind === 'failed' && (
        <View style={styles.wait}>
          <Text>{`What was saved could not be read: ${state.reason} It is on the server.`}</Text>
          <Button onPress={() => void load(null, [])}>Try again</Button>
        </View>
      )}
      {state.kind === 'ready' && (
        <FlatList
          data={state.revisions}
          keyExtractor={({ version }) => String(version)}
          onEndReached={() => state.next !== null && void load(state.next, state.revisions)}
          ListFooterComponent={
            state.next === null ? (
              <Text style={[styles.wait, { color: colours.inkSoft }]}>
                All of the last day is kept, then the last of each hour, day and week, and what has a name.
              </Text>
            ) : null
          }
          renderItem={({ item, index }) => (
            <Row
              revision={item}
              day={index === 0 || dayOf(item) !== dayOf(state.revisions[index - 1]!) ? dayOf(item) : null}
              look={() => look(item)}
            />
          )}
        />
      )}
    </ListPanel>
  );
}

function Row({ revision, day, look }: { revision: Revision; day: string | null; look(): void }) {
  const colours = useColours();
  const words = revision.words || 'Saved';
  return (
    <>
      {day !== null && (
        <Text style={[styles.day, { color: colours.ink }]} role="heading" aria-level={3}>
          {day}
        </Text>
      )}
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`${whenOf(revision)}: ${words}. Look at it`}
        onPress={look}
        style={[styles.row, { borderColor: colours.linenDeep }]}
      >
        <Text style={[styles.time, { color: colours.ink }]}>{timeOf(revision)}</Text>
        <View style={styles.fill}>
          {revision.name && <Text style={[styles.name, { color: colours.ink }]}>{revision.name}</Text>}
          <Text style={[styles.words, { color: colours.inkSoft }]}>{words}</Text>
        </View>
      </Pressable>
    </>
  );
}

/** One revision: its drawing, what was changed since, and the way to have it back. */
function Revisited({ revision, back, named }: { revision: Revision; back(): void; named(name: string): void }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const id = useAppSelector((state) => state.plan.jobId)!;
  const now = useAppSelector((state) => state.plan.plan)!;
  const [was, setWas] = useState<Plan | string | null>(null);
  const [naming, setNaming] = useState(false);
  const { version } = revision;
  useEffect(() => {
    let gone = false;
    fetchRevision(id, version).then(
      (plan) => !gone && setWas(plan),
      (error: unknown) => !gone && setWas(inWords(error)),
    );
    return () => {
      gone = true;
    };
  }, [id, version]);
  if (was === null) return <Spinner style={styles.wait} />;
  const plan = typeof was === 'string' ? null : was;
  const totals = plan && jobTotals(plan);
  const since = plan && changeInWords(changeBetween(plan, now));
  return (
    <ScrollView contentContainerStyle={styles.looked}>
      {plan ? (
        <>
          <FloorPicture plan={plan} height={300} says="Plan as it was" />
          <Text style={[styles.words, { color: colours.ink }]}>
            {`${totals!.rooms} rooms, ${roughly(totals!.rough, formatArea(totals!.area, plan.job.units))}`}
          </Text>
          <Text style={[styles.words, { color: colours.inkSoft }]}>
            {since
              ? `Changed since: ${since.charAt(0).toLowerCase()}${since.slice(1)}.`
              : 'This is the plan as it is now.'}
          </Text>
        </>
      ) : (
        <Text role="alert">{`This one could not be read: ${String(was)}`}</Text>
      )}
      {naming ? (
        <NoteField
          note={revision.name ?? ''}
          keep={(text) => {
            void nameRevision(id, version, text).then(() => named(text));
            return true;
          }}
          done={() => setNaming(false)}
        />
      ) : null}
      <View style={styles.does}>
        {plan && since !== '' && (
          <Button
            mode="contained"
            icon="restart"
            contentStyle={styles.tall}
            onPress={() => dispatch(bringBack(plan, whenOf(revision)))}
          >
            Bring it back
          </Button>
        )}
        <BarIcon icon="label-outline" says="Give it a name, which keeps it" onPress={() => setNaming(true)} />
        <Button contentStyle={styles.tall} onPress={back}>
          Back to the history
        </Button>
      </View>
    </ScrollView>
  );
}

const timeOf = ({ touched }: Revision): string =>
  new Date(touched).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
const dayOf = ({ touched }: Revision): string =>
  new Date(touched).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
const whenOf = (revision: Revision): string => `${dayOf(revision)}, ${timeOf(revision)}`;

const styles = StyleSheet.create({
  fill: { flex: 1 },
  wait: { padding: 20, fontSize: 14 },
  day: { fontFamily: FONTS.strong, fontSize: 15, paddingHorizontal: 14, paddingTop: 12, paddingBottom: 4 },
  row: {
    minHeight: TOUCH,
    flexDirection: 'row',
    gap: 12,
    alignItems: 'center',
    paddingHorizontal: 14,
    paddingVertical: 6,
    borderBottomWidth: StyleSheet.hairlineWidth,
  },
  time: { fontFamily: FONTS.strong, fontSize: 15, fontVariant: ['tabular-nums'], width: 52 },
  name: { fontFamily: FONTS.strong, fontSize: 15 },
  words: { fontSize: 15, lineHeight: 20 },
  looked: { padding: 14, gap: 10 },
  does: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  tall: { minHeight: TOUCH },
});
