import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarIcon } from '../../../ui/BarButton';
import { recall, remember } from '../../../ui/remembered';
import { useColours } from '../../../ui/theme';
import { useAppSelector } from '../../../store/store';
import { FIRST_STEPS, type FirstStep } from './first-steps';

const keyOf = ({ name }: FirstStep): string => `first.${name}`;
const wasSaid = (step: FirstStep): boolean => recall(keyOf(step)) !== null;
const isSaid = (step: FirstStep): void => remember(keyOf(step), 'said');

/** The next thing a newcomer needs, in a sentence over the sheet: it goes when it is done or sent away, and does not come again on this device. */
export function FirstSteps() {
  const colours = useColours();
  const [sent, setSent] = useState<readonly string[]>(() => FIRST_STEPS.filter(wasSaid).map(({ name }) => name));
  const done = useAppSelector((state) =>
    FIRST_STEPS.filter((step) => step.done(state))
      .map(({ name }) => name)
      .join(),
  );
  const now = useAppSelector(
    (state) =>
      FIRST_STEPS.find((step) => !sent.includes(step.name) && !step.done(state) && step.when(state))?.name ?? null,
  );
  const quiet = useAppSelector(({ plan }) => plan.notice !== null || plan.listing !== null);
  // what someone does without being told need not be said
  useEffect(() => {
    for (const step of FIRST_STEPS) if (done.split(',').includes(step.name)) isSaid(step);
  }, [done]);
  const left = useAppSelector((state) => state.plan.choices.left);
  const step = FIRST_STEPS.find(({ name }) => name === now);
  if (!step || quiet) return null;
  return (
    <View
      role="note"
      testID="first-step"
      style={[styles.line, left ? styles.atRight : styles.atLeft, { backgroundColor: colours.brass }]}
    >
      <Text style={styles.words}>{step.words}</Text>
      <BarIcon
        icon="close"
        says="I know"
        onPress={() => {
          isSaid(step);
          setSent([...sent, step.name]);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  /** Beside the buttons over the sheet. */
  atLeft: { left: 10, right: 66 },
  atRight: { left: 66, right: 10 },
  line: {
    position: 'absolute',
    bottom: 10,
    borderRadius: 10,
    paddingLeft: 14,
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: 48,
  },
  words: { flex: 1, fontSize: 15, lineHeight: 19, color: '#211524', paddingVertical: 6 },
});
