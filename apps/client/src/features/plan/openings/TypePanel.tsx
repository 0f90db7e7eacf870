import type { Opening, OpeningForm, OpeningSpec, Plan } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { capital } from '../../../ui/capital';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { DropMenu, OPENING_FORMS, changeType, clearWidth, formatLength, keepForLater, kindOfForm, selectOpening } =
  lent();
const { structuralSize, takeType, typeName, useAppDispatch, useAppSelector, usualSpecs } = lent();

/** The type of the chosen opening: what is changed here is changed of all that are of it. */
export default function TypePanel() {
  const on = useAppSelector(selectOpening);
  const plan = useAppSelector((state) => state.plan.plan);
  return on && plan ? <Panel key={on.opening.type} opening={on.opening} plan={plan} /> : null;
}

function Panel({ opening, plan }: { opening: Opening; plan: Plan }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { units } = plan.job;
  const type = plan.types[opening.type]!;
  const alike = Object.values(plan.openings).filter((each) => each.type === type.id).length;
  const long = (mm: number) => formatLength(mm, units);
  const { width, height } = structuralSize(type);
  const sizes = [
    `hole ${long(width)} × ${long(height)}`,
    ...(opening.kind === 'window' ? [] : [`clear ${long(clearWidth(type))}`]),
  ].join(', ');
  return (
    <ScrollView style={[styles.panel, { backgroundColor: colours.linen }]} testID="type-panel">
      <View style={styles.head}>
        <View style={styles.what}>
          <Text style={[styles.name, { color: colours.ink }]}>{typeName(type, units)}</Text>
          <Text
            style={{ color: colours.inkSoft }}
          >{`${alike === 1 ? 'the only one' : `${alike} of this type`} · ${sizes}`}</Text>
        </View>
        <Bars type={type} />
      </View>
      <View style={styles.bar}>
        <OtherTypes opening={opening} plan={plan} />
        <Forms opening={opening} />
        {alike > 1 && <BarButton icon="call-split" label="Make its own" onPress={() => dispatch(takeType('own'))} />}
        <BarButton icon="star-outline" label="Keep for later jobs" onPress={() => dispatch(keepForLater(type))} />
        {opening.kind === 'opening' && (
          <BarButton
            icon="arrow-expand-up"
            label="Up to the ceiling"
            chosen={type.toCeiling}
            onPress={() => dispatch(changeType({ toCeiling: !type.toCeiling }))}
          />
        )}
      </View>
      <View style={styles.texts}>
        <Words label="Called" value={type.name} keep={(name) => dispatch(changeType({ name }))} />
        <Words label="Material" value={type.material} keep={(material) => dispatch(changeType({ material }))} />
      </View>
    </ScrollView>
  );
}

/** Another type of the house, or a usual size, for this one. */
function OtherTypes({ opening, plan }: { opening: Opening; plan: Plan }) {
  const dispatch = useAppDispatch();
  const { units } = plan.job;
  const others = Object.values(plan.types).filter(
    ({ id, form }) => id !== opening.type && kindOfForm(form) === opening.kind,
  );
  const usual = usualSpecs(opening.form, units);
  return (
    <DropMenu
      icon="swap-horizontal"
      label="Other type"
      says="Take another type"
      entries={[
        ...others.map((type) => ({
          title: typeName(type, units),
          icon: 'home-outline',
          onPress: () => dispatch(takeType(type.id)),
        })),
        ...usual.map((spec) => ({ title: typeName(spec, units), onPress: () => dispatch(takeType(spec)) })),
      ]}
    />
  );
}

/** How all of the type open: forms of the same kind. */
function Forms({ opening }: { opening: Opening }) {
  const dispatch = useAppDispatch();
  const forms = OPENING_FORMS.filter((form) => kindOfForm(form) === opening.kind);
  const change = (form: OpeningForm) => dispatch(changeType({ form }));
  return (
    <DropMenu
      icon="shape-outline"
      label={opening.form}
      says={`How it opens: ${opening.form}`}
      entries={forms.map((form) => ({
        title: capital(form),
        icon: form === opening.form ? 'check' : 'blank',
        onPress: () => change(form),
      }))}
    />
  );
}

/** Glazing bars, one more or one fewer each way. */
function Bars({ type }: { type: OpeningSpec }) {
  const dispatch = useAppDispatch();
  if (type.glazing === 0) return null;
  const { across, upright } = type.bars;
  const set = (bars: Partial<OpeningSpec['bars']>) => dispatch(changeType({ bars: { ...type.bars, ...bars } }));
  const around = (n: number) => (n + 1) % 5;
  return (
    <View style={styles.bars} accessibilityLabel={`Bars: ${across} across, ${upright} upright`}>
      <BarIcon
        icon="view-sequential-outline"
        says={`${across} bars across. One more.`}
        onPress={() => set({ across: around(across) })}
      />
      <BarIcon
        icon="view-parallel-outline"
        says={`${upright} upright bars. One more.`}
        onPress={() => set({ upright: around(upright) })}
      />
    </View>
  );
}

/** A few words about the type; kept when the field is left. */
function Words({ label, value, keep }: { label: string; value: string; keep(text: string): void }) {
  const [text, setText] = useState(value);
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      value={text}
      onChangeText={setText}
      onBlur={() => text !== value && keep(text)}
      style={styles.words}
    />
  );
}

const styles = StyleSheet.create({
  panel: { height: 262, flexGrow: 0, flexShrink: 0 },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 12, paddingTop: 8 },
  what: { flex: 1 },
  name: { fontFamily: FONTS.strong, fontSize: 18 },
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 6,
    paddingHorizontal: 8,
    paddingVertical: 8,
    alignItems: 'center',
  },
  bars: { flexDirection: 'row' },
  texts: { flexDirection: 'row', gap: 8, paddingHorizontal: 12, paddingBottom: 10 },
  words: { flex: 1 },
});
