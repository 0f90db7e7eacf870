import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { ActivityIndicator, Button, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { JobDetailsScreen } from '../jobs/JobDetailsScreen';
import { FONTS, LOW, TOUCH, WIDE, useColours } from '../../ui/theme';
import { Calm } from './Calm';
import { useSides } from './chosen/parts';
import { DoneButton, Foot } from './foot/Foot';
import { Inspector } from './foot/Inspector';
import { SheetButtons, WideToolbar } from './foot/Toolbar';
import { Header } from './Header';
import { Ledger } from './Ledger';
import { OpenEnds } from './OpenEnds';
import { EmptySheet, PlanCanvas } from './PlanCanvas';
import { takeOffer } from './edit';
import { Listing } from './later/Listing';
import { TapeStrip } from './strip/TapeStrip';
import { planActions } from './plan-slice';
import type { Offer, PlanState } from './plan-state';
import { closeJob, openJob, openReadable } from './session';
import { KEYS, useShortcuts } from './shortcuts';
import { WorkBar } from './underlay/WorkBar';
import { useFollow } from './use-follow';
import { ZoomButtons } from './ZoomButtons';
import { viewActions } from './view-slice';
import { WalkList } from './walk/WalkList';

/** One job on its sheet: on a phone the sheet with everything at its foot, on a wide screen ledger, sheet and inspector. */
export function PlanScreen({ id }: { id: string }) {
  const dispatch = useAppDispatch();
  const loading = useAppSelector((state) => state.plan.loading);
  const wide = useWindowDimensions().width >= WIDE;
  const details = useAppSelector(({ plan: { listing, plan } }) => (listing === 'details' ? plan : null));
  useShortcuts();
  useEffect(() => {
    dispatch(viewActions.reset());
    void dispatch(openJob(id));
    return () => {
      dispatch(closeJob());
    };
  }, [dispatch, id]);
  if (loading !== 'ready') return <NotReady loading={loading} />;
  if (details) return <JobDetailsScreen plan={details} />;
  return wide ? <WideLayout /> : <HandLayout />;
}

/** In one hand: the sheet, and under the thumb what is being done; turned, that stands beside the sheet. */
function HandLayout() {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const turned = width > height && height < LOW;
  const strip = useStripShown(height);
  useFollow();
  return (
    <View style={[styles.fill, turned && styles.columns, { backgroundColor: colours.chalk }]}>
      <View style={styles.fill}>
        <Header wide={false} />
        <View style={styles.columns}>
          <WalkList />
          <View style={styles.fill}>
            <PlanCanvas />
            <EmptySheet />
            <OpenEnds />
            <SheetButtons />
            <DoneButton />
            <WorkBar />
            <Notice />
            <Listing />
          </View>
        </View>
        {strip && <CalmStrip />}
      </View>
      <View style={turned ? [styles.beside, { borderColor: colours.linenDeep }] : null}>
        <Foot />
      </View>
    </View>
  );
}

/** The chosen wall unrolled, where there is room for it: on a small phone it gives way to the pad. */
function useStripShown(height: number): boolean {
  const { strip } = useSides();
  return useAppSelector(({ plan }) => {
    const chosen = strip && plan.proposal === null && plan.naming === null;
    const padOpen = plan.panel === null && plan.pad.field !== null;
    return chosen && (height >= SMALL || height < LOW || !padOpen || plan.selection.kind === 'opening');
  });
}

/** On one lower than this the strip and the pad leave no sheet, px. */
const SMALL = 700;

function WideLayout() {
  const colours = useColours();
  const { strip } = useSides();
  const resting = useAppSelector((state) => state.plan.proposal === null);
  return (
    <View style={[styles.fill, { backgroundColor: colours.chalk }]}>
      <Header wide />
      <View style={styles.columns}>
        <View style={[styles.ledger, { borderColor: colours.linenDeep, backgroundColor: colours.chalk }]}>
          <Calm>
            <Ledger />
          </Calm>
          <Keys />
        </View>
        <WalkList />
        <View style={styles.fill}>
          <View style={styles.fill}>
            <PlanCanvas />
            <EmptySheet />
            <OpenEnds />
            <ZoomButtons />
            <WorkBar />
            <Notice />
            <Listing />
          </View>
          <WideToolbar />
        </View>
        <View style={[styles.inspector, { borderColor: colours.linenDeep, backgroundColor: colours.chalk }]}>
          <Calm>
            <Inspector />
          </Calm>
        </View>
      </View>
      {strip && resting && <CalmStrip />}
    </View>
  );
}

/** An opening is dragged along the strip, which then follows the finger. */
function CalmStrip() {
  const opening = useAppSelector((state) => state.plan.selection.kind === 'opening');
  const strip = <TapeStrip />;
  return opening ? strip : <Calm>{strip}</Calm>;
}

function Keys() {
  const colours = useColours();
  return (
    <View style={styles.keys} accessibilityLabel="Keys">
      {KEYS.map(([key, what]) => (
        <View key={key} style={styles.keyLine}>
          <Text style={[styles.key, { color: colours.ink }]}>{key}</Text>
          <Text style={[styles.keyWhat, { color: colours.inkSoft }]}>{what}</Text>
        </View>
      ))}
    </View>
  );
}

/** What was said about the last edit, or why it was refused, over the foot of the sheet; gone with the next. */
function Notice() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const notice = useAppSelector((state) => state.plan.notice);
  const reason = useAppSelector((state) => state.plan.preview?.reason ?? null);
  const text = reason ?? notice?.text;
  useEffect(() => {
    if (notice?.tone !== 'said' || notice.offer) return;
    const timer = setTimeout(() => dispatch(planActions.said(null)), 6000);
    return () => clearTimeout(timer);
  }, [notice, dispatch]);
  if (!text) return null;
  const refused = reason !== null || notice?.tone === 'refused';
  return (
    <View
      style={[styles.notice, { backgroundColor: refused ? '#8C3815' : colours.deepVelvet }]}
      accessibilityLiveRegion="polite"
      role={refused ? 'alert' : 'status'}
    >
      <Text style={styles.noticeText}>{text}</Text>
      {!reason && notice?.offer && (
        <Button compact mode="contained" contentStyle={styles.offer} onPress={() => dispatch(takeOffer(notice.offer!))}>
          {OFFERS[notice.offer.kind]}
        </Button>
      )}
      {!reason && (
        <IconButton
          icon="close"
          iconColor="#F8F2E7"
          size={18}
          accessibilityLabel="Dismiss"
          onPress={() => dispatch(planActions.said(null))}
          style={styles.noticeClose}
        />
      )}
    </View>
  );
}

const OFFERS: Record<Offer['kind'], string> = { loosen: 'Loosen it', walk: 'Take it up again', rescale: 'Rescale' };

function NotReady({ loading }: { loading: Exclude<PlanState['loading'], 'ready'> }) {
  const unreadable = useAppSelector((state) => state.plan.unreadable);
  const id = useAppSelector((state) => state.plan.jobId);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const colours = useColours();
  const words = {
    no: '',
    loading: 'Unrolling the plan…',
    missing: 'There is no such job here.',
    unreadable,
    offline: 'This job is not on this device, and the server can’t be reached. Try again when there is a connection.',
  }[loading];
  return (
    <View style={[styles.fill, styles.notReady, { backgroundColor: colours.linen }]}>
      {(loading === 'loading' || loading === 'no') && <ActivityIndicator color={colours.velvet} />}
      <Text variant="titleMedium" style={{ textAlign: 'center' }}>
        {words}
      </Text>
      {loading === 'unreadable' && id && (
        <Button mode="outlined" contentStyle={{ minHeight: TOUCH }} onPress={() => void dispatch(openReadable(id))}>
          Open the last version that can be read
        </Button>
      )}
      {loading !== 'loading' && loading !== 'no' && (
        <Button mode="contained" contentStyle={{ minHeight: TOUCH }} onPress={() => router.dismissTo('/')}>
          Back to the jobs
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0, minWidth: 0 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  ledger: { width: 264, borderRightWidth: 1 },
  inspector: { width: 340, borderLeftWidth: 1, justifyContent: 'space-between' },
  beside: { width: 376, borderLeftWidth: 1, justifyContent: 'flex-end' },
  keys: { padding: 14, gap: 3, marginTop: 'auto' },
  keyLine: { flexDirection: 'row', gap: 10 },
  key: { fontFamily: FONTS.strong, fontSize: 13, width: 62 },
  keyWhat: { fontSize: 13 },
  notice: {
    position: 'absolute',
    left: 10,
    right: 66,
    bottom: 10,
    borderRadius: 10,
    paddingLeft: 14,
    paddingRight: 6,
    minHeight: 44,
    flexDirection: 'row',
    alignItems: 'center',
  },
  noticeText: { color: '#F8F2E7', flex: 1, paddingVertical: 8, fontSize: 15 },
  noticeClose: { margin: 0 },
  offer: { minHeight: TOUCH },
  notReady: { alignItems: 'center', justifyContent: 'center', gap: 16, padding: 30 },
});
