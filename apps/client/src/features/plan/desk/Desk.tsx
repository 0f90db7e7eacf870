import { StyleSheet, View } from 'react-native';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { Inspector } from './Inspector';
import { Ledger } from './Ledger';
import { SidePanel } from './SidePanel';
import { SmallView } from './SmallView';
import { useFiles } from './use-files';

const {
  Calm,
  CalmStrip,
  EmptySheet,
  FirstSteps,
  Header,
  Listing,
  Notice,
  OpenEnds,
  PlanCanvas,
  ProposalBelow,
  WalkList,
  WideToolbar,
} = lent();
const { OptionBar, WorkBar, ZoomButtons, hasStrip, useAppSelector } = lent();

/** On a wide screen: ledger, sheet and inspector beside each other, as wide as one wants them. */
export default function Desk() {
  const colours = useColours();
  // pages have what belongs to them beside them
  const pages = useAppSelector(
    ({ plan: { listing } }) => listing === 'sheets' || listing === 'options' || listing === 'views',
  );
  useFiles();
  return (
    <View style={[styles.fill, { backgroundColor: colours.chalk }]}>
      <Header wide />
      <View style={styles.columns}>
        <SidePanel name="ledger" title="Ledger" side="left" usual={264}>
          <Calm>
            <Ledger />
          </Calm>
        </SidePanel>
        <WalkList />
        <View style={styles.fill}>
          <View style={styles.fill}>
            <PlanCanvas />
            <EmptySheet />
            <OpenEnds />
            <ZoomButtons />
            <WorkBar />
            <OptionBar />
            {!pages && <SmallView />}
            <FirstSteps />
            <Notice />
            <Listing />
          </View>
          {!pages && <WideToolbar />}
          {!pages && <ProposalBelow />}
        </View>
        {!pages && (
          <SidePanel name="inspector" title="Inspector" side="right" usual={340}>
            <Calm>
              <Inspector />
            </Calm>
          </SidePanel>
        )}
      </View>
      {!pages && <Strip />}
    </View>
  );
}

/** The chosen wall unrolled, while nothing is drawn. */
function Strip() {
  const shown = useAppSelector(({ plan }) => hasStrip(plan.selection) && plan.proposal === null);
  return shown && <CalmStrip />;
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0, minWidth: 0 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
});
