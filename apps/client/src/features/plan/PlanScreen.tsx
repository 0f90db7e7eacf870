import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { ActivityIndicator, Button, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { FONTS, TOUCH, WIDE, useColours } from '../../ui/theme';
import { Calm } from './Calm';
import { footOf } from './chosen/parts';
import { FieldBar } from './foot/FieldBar';
import { NumberPad } from './foot/NumberPad';
import { ToolOptions, Toolbar } from './foot/Toolbar';
import { Header } from './Header';
import { Ledger } from './Ledger';
import { NamePrompt } from './NamePrompt';
import { KindTray } from './openings/KindTray';
import { OpeningWords } from './openings/OpeningWords';
import { SwingControl } from './openings/SwingControl';
import { TypePanel } from './openings/TypePanel';
import { OpenEnds } from './OpenEnds';
import { EmptySheet, PlanCanvas } from './PlanCanvas';
import { takeOffer } from './edit';
import { Contradiction } from './readings/Contradiction';
import { ReadingsList } from './readings/ReadingsList';
import { RoomCard } from './RoomCard';
import { ScheduleList } from './schedule/ScheduleList';
import { TapeStrip } from './strip/TapeStrip';
import { partsOf } from './sketching/parts';
import { planActions } from './plan-slice';
import type { Offer, PlanState } from './plan-state';
import { closeJob, openJob, openReadable } from './session';
import { KEYS, useShortcuts } from './shortcuts';
import { MarksWords } from './underlay/MarksBar';
import { UnderlayPanel } from './underlay/UnderlayPanel';
import { WorkBar } from './underlay/WorkBar';
import { ZoomButtons } from './ZoomButtons';
import { viewActions } from './view-slice';
import { WalkClosing } from './walk/WalkClosing';
import { WalkList } from './walk/WalkList';

/** One job on its sheet: on a phone the sheet with everything at its foot, on a wide screen ledger, sheet and inspector. */
export function PlanScreen({ id }: { id: string }) {
  const dispatch = useAppDispatch();
  const loading = useAppSelector((state) => state.plan.loading);
  const wide = useWindowDimensions().width >= WIDE;
  useShortcuts();
  useEffect(() => {
    dispatch(viewActions.reset());
    void dispatch(openJob(id));
    return () => {
      dispatch(closeJob());
    };
  }, [dispatch, id]);
  if (loading !== 'ready') return <NotReady loading={loading} />;
  return wide ? <WideLayout /> : <PhoneLayout />;
}

function PhoneLayout() {
  const colours = useColours();
  const foot = useAppSelector((state) => footOf(state.plan.selection));
  const naming = useAppSelector((state) => state.plan.naming);
  const drawn = useAppSelector((state) => state.plan.proposal !== null);
  // while marks are set what is said about them stays; anything else gives way to the finger
  const dragging = useAppSelector((state) => state.view.finger !== null && state.plan.proposal?.kind !== 'marks');
  // the wall seen from inside takes the place of words about the room
  const elevation = useAppSelector((state) => state.plan.choices.elevation);
  return (
    <View style={[styles.fill, { backgroundColor: colours.chalk }]}>
      <Header wide={false} />
      <View style={styles.columns}>
        <WalkList />
        <View style={styles.fill}>
          <PlanCanvas />
          <EmptySheet />
          <OpenEnds />
          <WorkBar />
          <Notice />
          <ReadingsList />
          <ScheduleList />
        </View>
      </View>
      {naming ? (
        <Naming room={naming} />
      ) : drawn && !dragging ? (
        <DrawingFoot />
      ) : foot === 'tools' ? (
        <Toolbar wide={false} />
      ) : foot === 'room' ? (
        <RoomFoot />
      ) : foot === 'picture' ? (
        <View>
          <CloseBar />
          <UnderlayPanel />
        </View>
      ) : (
        <View>
          <CloseBar />
          {!elevation && <Contradiction brief />}
          <OpeningWords />
          <CalmStrip />
          <Calm>
            <FieldBar />
            <FootPanel />
          </Calm>
        </View>
      )}
    </View>
  );
}

/** On a phone, while something is drawn and not kept yet: its sizes, what can be done with it, and the pad. */
function DrawingFoot() {
  const options = useAppSelector(({ plan: { proposal } }) => proposal !== null && partsOf(proposal).options);
  const field = useAppSelector((state) => state.plan.pad.field);
  const closing = useAppSelector((state) => state.plan.proposal?.kind === 'walk' && state.plan.proposal.closing);
  const dragging = useAppSelector((state) => state.view.finger !== null);
  if (closing) return <WalkClosing />;
  return (
    <View>
      {options && <ToolOptions />}
      <MarksWords />
      <FieldBar />
      {field && !dragging && <NumberPad />}
    </View>
  );
}

/** On a phone: the room's figures; typing its ceiling height brings up the pad. */
function RoomFoot() {
  const field = useAppSelector((state) => state.plan.pad.field);
  return (
    <View>
      <CloseBar />
      {!field && <Contradiction />}
      {!field && <RoomCard />}
      <FieldBar />
      {field && <NumberPad />}
    </View>
  );
}

function CloseBar() {
  const dispatch = useAppDispatch();
  return (
    <View style={styles.close} pointerEvents="box-none">
      <IconButton
        mode="contained"
        icon="close"
        accessibilityLabel="Done"
        onPress={() => dispatch(planActions.selected({ kind: 'nothing' }))}
        style={styles.closeButton}
      />
    </View>
  );
}

function Naming({ room }: { room: string }) {
  const dispatch = useAppDispatch();
  const done = () => dispatch(planActions.naming(null));
  return <NamePrompt key={room} room={room} done={done} later={done} />;
}

function WideLayout() {
  const colours = useColours();
  const naming = useAppSelector((state) => state.plan.naming);
  const field = useAppSelector((state) => state.plan.pad.field);
  const panel = useAppSelector((state) => state.plan.panel);
  const closing = useAppSelector((state) => state.plan.proposal?.kind === 'walk' && state.plan.proposal.closing);
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
            <ReadingsList />
            <ScheduleList />
          </View>
          <Toolbar wide />
        </View>
        <View style={[styles.inspector, { borderColor: colours.linenDeep, backgroundColor: colours.chalk }]}>
          <Calm>
            <ScrollView>
              <Contradiction />
              <OpeningWords />
              <MarksWords />
              <UnderlayPanel />
              <WalkClosing />
              {naming ? <Naming room={naming} /> : <RoomCard walls />}
            </ScrollView>
            {!closing && <FieldBar />}
            {(field || panel) && <FootPanel />}
          </Calm>
        </View>
      </View>
      <CalmStrip />
    </View>
  );
}

/** The number pad, or what was called up in its place; a figure of the type is typed on the pad. */
function FootPanel() {
  const panel = useAppSelector((state) => state.plan.panel);
  const typing = useAppSelector((state) => state.plan.pad.field !== null);
  switch (panel) {
    case 'tray':
      return <KindTray />;
    case 'swing':
      return <SwingControl />;
    case 'type':
      return typing ? <NumberPad /> : <TypePanel />;
    case null:
      return <NumberPad />;
  }
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
  close: { position: 'absolute', right: 8, top: -56, zIndex: 2 },
  closeButton: { width: TOUCH, height: TOUCH, margin: 0 },
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
