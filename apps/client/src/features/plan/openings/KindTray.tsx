import { type OpeningSpec, formatLength, traySpecs, typeName, usualSpecs } from '@velvet-tape/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useStore } from 'react-redux';
import { randomSeed } from '../../../store/seed';
import { type RootState, useAppDispatch, useAppSelector } from '../../../store/store';
import { TOUCH, useColours } from '../../../ui/theme';
import { preview } from '../edit';
import { type DropSpot, listenToDragOut } from './drop-targets';
import { addSpec, placeSpec, placing } from './commands';
import { FormSign } from './FormSign';
import { forgetKept, useKeptTypes } from './kept-types';

/** Every form there is, by its sign. A tap puts one into the widest gap of the wall; dragged out, it goes where it is let go of. */
export function KindTray() {
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const [chosen, setChosen] = useState('hinged door');
  const kept = useKeptTypes();
  const offered = useMemo(() => traySpecs(units), [units]);
  const sizes = useMemo(() => {
    const { spec } = offered.find(({ name }) => name === chosen)!;
    return usualSpecs(spec.form, units).map(({ width, height, sill }) => ({ ...spec, width, height, sill }));
  }, [chosen, offered, units]);
  return (
    <View style={[styles.tray, { backgroundColor: colours.linen }]} testID="kind-tray">
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.bar}>
        {kept.map(({ id, name, spec }) => (
          <SizeChip key={id} spec={spec} text={typeName({ ...spec, name }, units)} kept={id} />
        ))}
        {sizes.map((spec) => (
          <SizeChip
            key={`${spec.width} ${spec.height}`}
            spec={spec}
            text={`${formatLength(spec.width, units)} × ${formatLength(spec.height, units)}`}
          />
        ))}
      </ScrollView>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.forms}>
        {offered.map(({ name, spec }) => (
          <FormTile key={name} name={name} spec={spec} chosen={name === chosen} take={setChosen} />
        ))}
      </ScrollView>
    </View>
  );
}

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
      <Text style={{ color: colours.ink, fontVariant: ['tabular-nums'] }}>{kept ? `★ ${text}` : text}</Text>
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
      <FormSign spec={spec} size={52} />
      <Text style={[styles.name, { color: colours.ink }]} numberOfLines={2}>
        {name}
      </Text>
    </Pressable>
  );
}

/** Dragged out of the tray an opening shows where it would come, and comes there when it is let go of. A touch chooses it. */
function useDragOut(host: React.RefObject<View | null>, spec: OpeningSpec, take: () => void): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const seed = randomSeed();
    const offsetAt = ({ face, along }: DropSpot) =>
      Math.min(Math.max(0, face.length - spec.width), Math.max(0, Math.round((along - spec.width / 2) / 10) * 10));
    return listenToDragOut(element, {
      touched: take,
      over: (spot) =>
        dispatch(preview(spot && placing(spec, store.getState().plan.floor, spot.face, offsetAt(spot)), seed)),
      dropped: (spot) => {
        dispatch(preview(null, seed));
        if (spot) dispatch(placeSpec(spec, spot.face, offsetAt(spot)));
      },
    });
  }, [dispatch, host, spec, store, take]);
}

const styles = StyleSheet.create({
  tray: { height: 262 },
  bar: { paddingHorizontal: 8, paddingVertical: 6, gap: 6, alignItems: 'center' },
  chip: { minHeight: TOUCH, paddingHorizontal: 12, borderRadius: 8, borderWidth: 1.5, justifyContent: 'center' },
  forms: { height: 196, flexDirection: 'column', flexWrap: 'wrap', gap: 6, paddingHorizontal: 8 },
  tile: {
    width: 86,
    height: 94,
    borderRadius: 8,
    borderWidth: 2,
    alignItems: 'center',
    paddingVertical: 4,
    paddingHorizontal: 2,
  },
  name: { fontSize: 12, lineHeight: 14, textAlign: 'center' },
});
