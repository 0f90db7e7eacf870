import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarIcon } from '../../../ui/BarButton';
import { Part } from '../../../ui/Part';
import { recall, remember } from '../../../ui/remembered';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { ofViews, piece } = lent();

const BesideThePlan = piece(() => ofViews('BesideThePlan'));

const REMEMBERED = 'small-view';

/** The small view of the house beside the plan: nothing of it comes before it is wanted. */
export function SmallView() {
  const colours = useColours();
  const [open, setOpen] = useState(() => recall(REMEMBERED) === 'open');
  const show = (now: boolean) => {
    setOpen(now);
    remember(REMEMBERED, now ? 'open' : '');
  };
  if (open)
    return (
      <Part>
        <BesideThePlan close={() => show(false)} />
      </Part>
    );
  return (
    <View style={[styles.button, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <BarIcon icon="cube-outline" says="Small view of the house" onPress={() => show(true)} />
    </View>
  );
}

const styles = StyleSheet.create({
  button: { position: 'absolute', bottom: 10, right: 10, borderRadius: 10, borderWidth: 1 },
});
