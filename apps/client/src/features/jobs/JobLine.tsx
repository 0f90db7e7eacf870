import { JOB_STATES, type JobSummary } from '@velvet-tape/contract/list';
import { formatArea, roughly } from '@velvet-tape/core/units';
import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Trouble } from '../../sync/database';
import { standJob } from '../../sync/listing';
import { BarButton, BarIcon } from '../../ui/BarButton';
import { capital } from '../../ui/capital';
import { SyncTrouble } from '../../ui/SyncTrouble';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { ago } from './ago';
import { SmallPlan } from './SmallPlan';

/** What knows plans comes when something is done with one. */
const heart = () => import('../../heart');
const sync = async () => (await heart()).syncEngine();

interface LineProps {
  job: JobSummary;
  bin: boolean;
  trouble: Trouble | undefined;
  onDone: () => void;
  /** Does it, and lists anew, or says why it can’t be done. */
  does(what: () => Promise<unknown>): void;
}

/** A job in the list: its plan as small as a thumb, its name, what it amounts to, and its menu. */
export const JobLine = memo(function JobLine({ job, bin, trouble, onDone, does }: LineProps) {
  const colours = useColours();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const rooms = `${job.rooms} ${job.rooms === 1 ? 'room' : 'rooms'}`;
  const area = roughly(job.rough, formatArea(job.area, job.units));
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
          <SmallPlan picture={job.picture} />
          <View style={styles.words}>
            <Text style={[styles.name, { color: colours.ink }]} numberOfLines={2}>
              {job.name}
            </Text>
            {job.address !== '' && (
              <Text style={{ color: colours.inkSoft }} numberOfLines={3}>
                {job.address}
              </Text>
            )}
            <Text style={[styles.facts, { color: colours.inkSoft }]}>
              <Text style={[styles.area, { color: colours.ink }]}>{area}</Text>
              {` · ${rooms} · ${ago(new Date(job.touched))}${state}`}
            </Text>
          </View>
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
            onPress={() => does(async () => (await heart()).copyJob(job.id))}
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
});

const styles = StyleSheet.create({
  job: {
    borderRadius: 12,
    borderWidth: 1,
    paddingVertical: 10,
    paddingLeft: 10,
    paddingRight: 6,
    gap: 6,
    marginBottom: 10,
  },
  row: { flexDirection: 'row', alignItems: 'center' },
  opens: { flex: 1, flexDirection: 'row', gap: 12, alignItems: 'center', minHeight: TOUCH },
  words: { flex: 1, gap: 3 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  name: { fontFamily: FONTS.serif, fontSize: 20, lineHeight: 26 },
  area: { fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
  facts: { fontSize: 14 },
});
