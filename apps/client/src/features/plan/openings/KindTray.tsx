import type { OpeningKind, OpeningSpec } from '@velvet-tape/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { type DropSpot, listenToDragOut } from './drag-out';

const { FormSign, addSpec, dropSpotAt, forgetKept, formatLength, kindOfForm, placeSpec, placing, preview } = lent();
const { randomSeed, store, traySpecs, typeName, useAppDispatch, useAppSelector, useKeptTypes, usualSpecs } = lent();

/**
 * Every form there is, by its sign, all of a group in view. A tap puts one into the widest gap of the wall; dragged out, it goes where it is let go of.
 */
export default function KindTray() {
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const kept = useKeptTypes();
  const [group, setGroup] = useState<Group>('door');
  const [chosen, setChosen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const offered = useMemo(() => traySpecs(units), [units]);
  const forms = offered.filter(({ spec }) => kindOfForm(spec.form) === group);
  const first = forms.find(({ name }) => name === chosen) ?? forms[0];
  const sizes = first
    ? usualSpecs(first.spec.form, units).map(({ width, height, sill }) => ({ ...first.spec, width, height, sill }))
    : [];
  const take = useCallback((name: string) => {
    setChosen(name);
    setAll(false);
  }, []);
  const groups = GROUPS.filter(([name]) => name !== 'kept' || kept.length > 0);
  return (
    <View style={[styles.tray, { backgroundColor: colours.linen }]} testID="kind-tray">
      <View style={styles.bar} role="group" accessibilityLabel="Which kinds">
        {groups.map(([name, label]) => (
          <BarButton key={name} label={label} chosen={group === name} onPress={() => setGroup(name)} />
        ))}
      </View>
      {group !== 'kept' && (
        <View style={styles.forms}>
          {forms.map(({ name, spec }) => (
            <FormTile key={name} name={name} spec={spec} chosen={name === first?.name} take={take} />
          ))}
        </View>
      )}
      <View style={styles.bar}>
        {group === 'kept'
          ? kept.map(({ id, name, spec }) => (
              <SizeChip key={id} spec={spec} text={typeName({ ...spec, name }, units)} kept={id} />
            ))
          : (all ? sizes : sizes.slice(0, FIRST_SIZES)).map((spec) => (
              <SizeChip
                key={`${spec.width} ${spec.height}`}
                spec={spec}
                text={`${formatLength(spec.width, units)} × ${formatLength(spec.height, units)}`}
              />
            ))}
        {group !== 'kept' && !all && sizes.length > FIRST_SIZES && (
          <BarIcon icon="dots-horizontal" says={`More sizes of ${first!.name}`} onPress={() => setAll(true)} />
        )}
      </View>
    </View>
  );
}

/** The others are a tap away, so that the plan stays in view. */
const FIRST_SIZES = 3;

type Group = OpeningKind | 'kept';
const GROUPS: readonly (readonly [Group, string])[] = [
  ['door', 'Doors'],
  ['window', 'Windows'],
  ['opening', 'Openings'],
  ['kept', 'Kept'],
];

/** A usual size, or a kept type, which a long press forgets. */
function SizeChip({ spec, text, kept }: { spec: OpeningSpec; text: string; kept?: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={kept ? `Add ${text}, kept` : `Add ${spec.form} ${text}`}
      onPress={() => dispatch(addSpec(spec))}
      {...(kept && { onLongPress: () => dispatch(forgetKept(kept)), accessibilityHint: 'Press long to forget it' })}
      style={[styles.chip, { borderColor: colours.brassDeep, backgroundColor: colours.chalk }]}
    >
      <Text style={{ color: colours.ink, fontSize: 14, fontVariant: ['tabular-nums'] }}>
        {kept ? `★ ${text}` : text.replace(/ m(?= )/, '')}
      </Text>
    </Pressable>
  );
}

function FormTile({
  name,
  spec,
  chosen,
  take,
}: {
  name: string;
  spec: OpeningSpec;
  chosen: boolean;
  take(name: string): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const host = useRef<View>(null);
  const taken = useCallback(() => take(name), [name, take]);
  useDragOut(host, spec, taken);
  return (
    <Pressable
      ref={host}
      accessibilityRole="button"
      accessibilityLabel={`Add ${name}`}
      aria-pressed={chosen}
      onPress={() => dispatch(addSpec(spec))}
      style={[
        styles.tile,
        { borderColor: chosen ? colours.brassDeep : colours.linenDeep, backgroundColor: colours.chalk },
      ]}
    >
      <FormSign spec={spec} size={44} />
      <Text style={[styles.name, { color: colours.ink }]} numberOfLines={2}>
        {name}
      </Text>
    </Pressable>
  );
}

/** Dragged out of the tray an opening shows where it would come, and comes there when it is let go of. A touch chooses it. */
function useDragOut(host: React.RefObject<View | null>, spec: OpeningSpec, take: () => void): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const seed = randomSeed();
    const offsetAt = ({ face, along }: DropSpot) =>
      Math.min(Math.max(0, face.length - spec.width), Math.max(0, Math.round((along - spec.width / 2) / 10) * 10));
    return listenToDragOut(element, dropSpotAt, {
      touched: take,
      over: (spot) =>
        dispatch(preview(spot && placing(spec, store.getState().plan.floor, spot.face, offsetAt(spot)), seed)),
      dropped: (spot) => {
        dispatch(preview(null, seed));
        if (spot) dispatch(placeSpec(spec, spot.face, offsetAt(spot)));
      },
    });
  }, [dispatch, host, spec, take]);
}

const styles = StyleSheet.create({
  tray: { gap: 6, padding: 6 },
  bar: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  chip: {
    flexGrow: 1,
    minHeight: TOUCH,
    paddingHorizontal: 4,
    borderRadius: 8,
    borderWidth: 1.5,
    alignItems: 'center',
    justifyContent: 'center',
  },
  forms: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  tile: {
    flexBasis: '22%',
    flexGrow: 1,
    maxWidth: '25%',
    minHeight: 80,
    borderRadius: 8,
    borderWidth: 2,
    alignItems: 'center',
    paddingVertical: 2,
    paddingHorizontal: 2,
  },
  name: { fontSize: 12, lineHeight: 13, textAlign: 'center' },
});
