import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { TOUCH, useColours } from '../../ui/theme';
import { takeOffer } from './edit';
import { planActions } from './plan-slice';
import type { Offer } from './plan-state';

/** What was said about the last edit, or why it was refused, over the foot of the sheet; gone with the next. */
export function Notice() {
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
  const left = useAppSelector((state) => state.plan.choices.left);
  if (!text) return null;
  const refused = reason !== null || notice?.tone === 'refused';
  return (
    <View
      style={[
        styles.notice,
        left ? styles.atRight : styles.atLeft,
        { backgroundColor: refused ? '#8C3815' : colours.deepVelvet },
      ]}
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

const OFFERS: Record<Offer['kind'], string> = {
  loosen: 'Loosen it',
  walk: 'Take it up again',
  look: 'Look from here',
  rescale: 'Rescale',
};

const styles = StyleSheet.create({
  /** Beside the buttons over the sheet. */
  atLeft: { left: 10, right: 66 },
  atRight: { left: 66, right: 10 },
  notice: {
    zIndex: 5,
    position: 'absolute',
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
});
