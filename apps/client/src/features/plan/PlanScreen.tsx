import { useRouter } from 'expo-router';
import { memo, lazy, useEffect } from 'react';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { roomsCome } from '../../core-later/come';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { Part } from '../../ui/Part';
import { lettering } from '../../ui/rem';
import { useTitle } from '../../ui/use-title';
import { JobDetailsScreen } from '../jobs/JobDetailsScreen';
import { LOW, TOUCH, WIDE, useColours } from '../../ui/theme';
import { hasStrip } from './chosen/parts';
import { FirstSteps } from './first-steps/FirstSteps';
import { DoneButton, Foot } from './foot/Foot';
import { SheetButtons } from './foot/Toolbar';
import { Header } from './Header';
import { OpenEnds } from './OpenEnds';
import { EmptySheet, PlanCanvas } from './PlanCanvas';
import { Listing } from './later/Listing';
import { Notice } from './Notice';
import { wantsRooms } from './later/wants-rooms';
import { bringNotes, wantsNotes } from './notes/notes-room';
import { bringPieces, wantsPieces } from './pieces/pieces-room';
import { PartsBar } from './parts/PartsBar';
import { PARTS } from './parts/parts';
import { OptionBar } from './pieces/OptionBarShown';
import { usePartInAddress } from './parts/use-part-in-address';
import type { PlanState } from './plan-state';
import { closeJob, openJob, openReadable } from './session';
import { useShortcuts } from './shortcuts';
import { WorkBar } from './underlay/WorkBar';
import { usePrinting } from './printing';
import { CalmStrip } from './strip/CalmStrip';
import { useFollow } from './use-follow';
import { viewActions } from './view-slice';
import { WalkList } from './walk/pieces';
import { Spinner } from '../../ui/Spinner';

/** One job on its sheet: on a phone the sheet with everything at its foot, on a wide screen ledger, sheet and inspector. */
export function PlanScreen({ id, part }: { id: string; part: string | null }) {
  const dispatch = useAppDispatch();
  const loading = useAppSelector((state) => state.plan.loading);
  const wide = useWindowDimensions().width >= WIDE;
  const details = useAppSelector(({ plan: { listing, plan } }) => (listing === 'details' ? plan : null));
  useShortcuts();
  usePartInAddress(id, part);
  usePrinting();
  useRoomsToCome();
  useJobTitle();
  useEffect(() => {
    dispatch(viewActions.reset());
    void dispatch(openJob(id));
    return () => {
      dispatch(closeJob());
    };
  }, [dispatch, id]);
  if (loading !== 'ready') return <NotReady loading={loading} />;
  if (details) return <JobDetailsScreen plan={details} />;
  return wide ? <Wide /> : <HandLayout />;
}

/** What draws notes and pieces comes with the first plan that has some, or when they are about to be made. */
function useRoomsToCome(): void {
  const dispatch = useAppDispatch();
  const wanted = useAppSelector(wantsNotes);
  useEffect(() => {
    if (wanted) dispatch(bringNotes);
  }, [dispatch, wanted]);
  const furnished = useAppSelector(wantsPieces);
  useEffect(() => {
    if (furnished) dispatch(bringPieces);
  }, [dispatch, furnished]);
  const rooms = useAppSelector(wantsRooms);
  useEffect(() => {
    // where they can't be had it is said when they are needed
    if (rooms) roomsCome().catch(() => undefined);
  }, [rooms]);
}

function useJobTitle(): void {
  const name = useAppSelector(({ plan }) => plan.plan?.job.name ?? '');
  const part = useAppSelector(({ plan }) => PARTS.find((each) => each.name === plan.listing)?.label ?? '');
  useTitle(part, name);
}

const Desk = lazy(() => import('./desk/Desk'));
const Wide = () => (
  <Part>
    <Desk />
  </Part>
);

/** In one hand: the sheet, and under the thumb what is being done; turned, that stands beside the sheet. */
const HandLayout = memo(function HandLayout() {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const turned = width > height && height < LOW;
  // pages have a foot of their own
  const pages = useAppSelector(
    ({ plan: { listing } }) => listing === 'sheets' || listing === 'options' || listing === 'views',
  );
  const left = useAppSelector((state) => state.plan.choices.left);
  // only what turns the whole screen is looked at here: everything in it looks for itself, so that at a tap or a step of a drag the rest is left alone
  return (
    <View
      style={[styles.fill, turned && (left ? styles.columnsBack : styles.columns), { backgroundColor: colours.chalk }]}
    >
      <View style={styles.fill}>
        <Header wide={false} />
        <View style={styles.columns}>
          <WalkList />
          <View style={styles.fill}>
            <OnSheet />
            <Listing />
          </View>
        </View>
        <StripOnPhone height={height} />
        <Follow />
      </View>
      {!pages && (
        <View
          style={
            turned ? [styles.beside, { borderColor: colours.linenDeep, width: Math.min(BESIDE, width / 2) }] : null
          }
        >
          <Foot />
        </View>
      )}
    </View>
  );
});

/** The sheet, and what lies over it. */
const OnSheet = memo(function OnSheet() {
  return (
    <>
      <PlanCanvas />
      <EmptySheet />
      <SheetButtons />
      <DoneButton />
      <View style={styles.underParts}>
        <OpenEnds />
        <WorkBar />
        <OptionBar />
      </View>
      <FirstSteps />
      <Notice />
      <PartsBar wide={false} />
    </>
  );
});

function Follow() {
  useFollow();
  return null;
}

/** The chosen wall unrolled, where there is room for it: on a small phone it gives way to the pad. */
function StripOnPhone({ height }: { height: number }) {
  const shown = useAppSelector(({ plan }) => {
    const chosen = hasStrip(plan.selection) && plan.proposal === null && plan.naming === null;
    const padOpen = plan.panel === null && plan.pad.field !== null;
    return chosen && (height / lettering() >= SMALL || height < LOW || !padOpen || plan.selection.kind === 'opening');
  });
  return shown && <CalmStrip />;
}

/** The foot at the side of a turned phone, px; half of a narrow one. */
const BESIDE = 376;

/** On one lower than this the strip and the pad leave no sheet, px. */
const SMALL = 700;

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
      {(loading === 'loading' || loading === 'no') && <Spinner />}
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
  /** The parts of the job stand over the sheet. */
  underParts: { position: 'absolute', top: TOUCH, left: 0, right: 0, bottom: 0, pointerEvents: 'box-none' },
  columnsBack: { flex: 1, flexDirection: 'row-reverse', minHeight: 0 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  beside: { borderLeftWidth: 1, justifyContent: 'flex-end' },
  notReady: { alignItems: 'center', justifyContent: 'center', gap: 16, padding: 30 },
});
