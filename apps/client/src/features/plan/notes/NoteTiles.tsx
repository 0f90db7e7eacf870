import type { Annotation, Dimension, DimensionEnds, Id } from '@velvet-tape/core';
import type { Laid } from '@velvet-tape/core/notes';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { annotationOf, dimensionOf, laidOf } from './chosen-note';
import { UNWRITTEN } from './notes-tool';

const { DIMENSION_ENDS, DropMenu, capital, edit, planActions, remove, selectFloor, useAppDispatch, useAppSelector } =
  lent();

/** What can be done with a chosen dimension line, text, arrow or sign. */
export default function NoteTiles() {
  const plan = useAppSelector((state) => state.plan.plan);
  const chosen = useAppSelector((state) => state.plan.selection);
  if (chosen.kind !== 'note') return null;
  const dimension = dimensionOf(plan, chosen);
  if (dimension) return <DimensionTiles key={dimension.id} dimension={dimension} />;
  const annotation = annotationOf(plan, chosen);
  return annotation && <AnnotationTiles key={annotation.id} annotation={annotation} />;
}

const WAYS = [
  ['Along', null],
  ['Level', 0],
  ['Upright', 90],
] as const;
const UNITS = [
  ['own', 'This unit'],
  ['other', 'The other'],
  ['both', 'Both'],
] as const;
/** To what figures are rounded, mm, and as it is said. */
const ROUNDED = {
  metric: [
    [null, 'as known'],
    [5, '5 mm'],
    [10, '1 cm'],
    [50, '5 cm'],
  ],
  imperial: [
    [null, 'as known'],
    [25.4 / 8, '⅛″'],
    [25.4 / 4, '¼″'],
    [25.4 / 2, '½″'],
    [25.4, '1″'],
  ],
} as const;

function DimensionTiles({ dimension }: { dimension: Dimension }) {
  const dispatch = useAppDispatch();
  const floor = useAppSelector(selectFloor);
  const note = useAppSelector((state) => state.plan.choices.note);
  const { id, form, laid: strings } = dimension;
  const all = strings !== '';
  const change = (to: Partial<Dimension>) => dispatch(edit({ kind: 'changeDimension', dimension: id, to, all }));
  if (!floor) return null;
  const { units } = floor.plan.job;
  const laid = form === 'line' ? laidOf(floor, id) : null;
  const rounded = ROUNDED[units].find(([step]) => step === dimension.round)?.[1] ?? 'as typed';
  return (
    <View testID="dimension-tiles">
      <Figures dimension={dimension} laid={laid} />
      <ListBar>
        {form === 'line' &&
          !all &&
          WAYS.map(([label, turn]) => (
            <BarButton
              key={label}
              label={label}
              chosen={dimension.turn === turn}
              onPress={() => dispatch(edit({ kind: 'changeDimension', dimension: id, to: { turn } }))}
            />
          ))}
        {form === 'line' && (
          <BarButton
            icon="vector-point-plus"
            label="Measure on"
            says="Measure on: tap what else to measure to"
            chosen={note.adding}
            onPress={() => dispatch(planActions.choicesMade({ note: { ...note, adding: !note.adding } }))}
          />
        )}
        <BarButton
          icon="delete-outline"
          label="Remove"
          says="Remove this dimension line"
          onPress={() => dispatch(remove)}
        />
      </ListBar>
      <ListBar>
        <DropMenu
          icon="menu-down"
          label={`Ends: ${dimension.ends}`}
          says={`Ends: ${dimension.ends}`}
          entries={DIMENSION_ENDS.map((ends: DimensionEnds) => ({
            title: capital(ends),
            onPress: () => change({ ends }),
          }))}
        />
        <DropMenu
          icon="menu-down"
          label={UNITS.find(([which]) => which === dimension.units)![1]}
          says="Units of its figures"
          entries={UNITS.map(([which, title]) => ({ title, onPress: () => change({ units: which }) }))}
        />
        <DropMenu
          icon="menu-down"
          label={`Rounded: ${rounded}`}
          says={`Rounded: ${rounded}`}
          entries={ROUNDED[units].map(([round, title]) => ({
            title: capital(title),
            onPress: () => change({ round }),
          }))}
        />
        <Layer layer={dimension.layer} take={(layer) => change({ layer })} />
      </ListBar>
    </View>
  );
}

/** Its figures one by one: what is true, and what stands there instead. */
function Figures({ dimension, laid }: { dimension: Dimension; laid: Laid | null }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const [open, setOpen] = useState<Id | null>(null);
  const { figureInWords, offBy } = laterRooms();
  const { units } = plan.job;
  if (!laid) return null;
  const truly = (mm: number) => figureInWords(mm, dimension, units);
  const figures = laid.figures.map(({ from, length, said, text, rough }) => ({
    ...{ id: from.point.id, said: said ? text : '', rough },
    now: truly(length),
  }));
  const shown = figures.find(({ id }) => id === open) ?? (figures.length === 1 ? figures[0] : undefined);
  const off = offBy(laid, units);
  return (
    <>
      {figures.length > 1 && (
        <ListBar>
          {figures.map(({ id, said, now }) => (
            <BarButton
              key={id}
              label={said || now}
              says={said ? `Figure ${said}, truly ${now}` : `Figure ${now}`}
              chosen={id === shown?.id}
              onPress={() => setOpen(id === open ? null : id)}
            />
          ))}
        </ListBar>
      )}
      {off !== 0 && (
        <Text style={[styles.says, { color: colours.inkSoft }]}>
          As they are rounded they add up to {truly(Math.abs(off))} {off > 0 ? 'more' : 'less'} than the whole.
        </Text>
      )}
      {shown && (
        <Said
          key={`${shown.id} ${shown.said}`}
          {...shown}
          several={figures.length > 1}
          keep={(said) => dispatch(edit({ kind: 'sayFigure', point: shown.id, said })).ok}
          drop={() => dispatch(edit({ kind: 'removeDimensionPoint', point: shown.id }))}
        />
      )}
    </>
  );
}

interface SaidProps {
  said: string;
  now: string;
  rough: boolean;
  several: boolean;
  keep(said: string): boolean;
  drop(): void;
}

/** What is written in the place of a figure; the true one is said beside it. */
function Said({ said, now, rough, several, keep, drop }: SaidProps) {
  const colours = useColours();
  const [text, setText] = useState(said);
  return (
    <>
      <Text style={[styles.says, { color: colours.inkSoft }]}>
        {said ? `Written by hand, and underlined. Truly ${now}.` : `Truly ${now}${rough ? ', not measured' : ''}.`}
      </Text>
      <View style={styles.line}>
        <TextInput
          mode="outlined"
          dense
          label="Write instead"
          accessibilityLabel="Write instead of the figure"
          value={text}
          maxLength={40}
          onChangeText={setText}
          onSubmitEditing={() => keep(text)}
          style={styles.field}
        />
        <BarButton strong label="Keep" says="Keep what is written instead" onPress={() => keep(text)} />
      </View>
      <ListBar>
        {said !== '' && <BarButton icon="undo-variant" label="The true figure" onPress={() => keep('')} />}
        {several && <BarButton icon="trash-can-outline" label="Take its first point away" onPress={drop} />}
      </ListBar>
    </>
  );
}

function AnnotationTiles({ annotation }: { annotation: Annotation }) {
  const dispatch = useAppDispatch();
  const { id, form, text, to, turn, at } = annotation;
  const [words, setWords] = useState(text === UNWRITTEN ? '' : text);
  const change = (told: Partial<Annotation>) => dispatch(edit({ kind: 'changeAnnotation', annotation: id, to: told }));
  const keep = () => words.trim() !== text && words.trim() !== '' && change({ text: words });
  return (
    <View testID="annotation-tiles">
      {(form === 'text' || form === 'sign') && (
        <View style={styles.line}>
          <TextInput
            mode="outlined"
            dense
            multiline={form === 'text'}
            autoFocus={text === UNWRITTEN}
            {...(form === 'sign' ? { label: 'Letters in it' } : { placeholder: 'What is to be written' })}
            accessibilityLabel={form === 'text' ? 'Text' : 'Letters in the sign'}
            value={words}
            maxLength={form === 'text' ? 500 : 4}
            onChangeText={setWords}
            onBlur={keep}
            style={styles.field}
          />
          <BarButton strong label="Keep" says="Keep the text" onPress={keep} />
        </View>
      )}
      <ListBar>
        {(form === 'text' || form === 'sign') && (
          <BarButton
            icon="format-rotate-90"
            label="Turn"
            says="Turn a quarter"
            onPress={() => change({ turn: (turn + 90) % 360 })}
          />
        )}
        {form === 'text' && (
          <BarButton
            icon="arrow-right-top"
            label={to ? 'No line to it' : 'Line to a place'}
            onPress={() => change({ to: to ? null : { x: at.x - 600, y: at.y + 600 } })}
          />
        )}
        <Layer layer={annotation.layer} take={(layer) => change({ layer })} />
        <BarButton icon="delete-outline" label="Remove" says="Remove this note" onPress={() => dispatch(remove)} />
      </ListBar>
    </View>
  );
}

/** The layer it is on: another, a new one, none. */
function Layer({ layer, take }: { layer: string; take(layer: string): void }) {
  const plan = useAppSelector((state) => state.plan.plan)!;
  const [naming, setNaming] = useState<string | null>(null);
  const all = [...Object.values(plan.dimensions), ...Object.values(plan.annotations)].map((each) => each.layer);
  const names = [...new Set([...all, ...Object.values(plan.looks).flatMap(({ layers }) => Object.keys(layers))])]
    .filter(Boolean)
    .sort();
  if (naming !== null)
    return (
      <View style={styles.line}>
        <TextInput
          mode="outlined"
          dense
          autoFocus
          label="New layer"
          accessibilityLabel="New layer"
          value={naming}
          maxLength={120}
          onChangeText={setNaming}
          style={styles.field}
        />
        <BarButton
          strong
          label="Keep"
          says="Keep the layer"
          onPress={() => {
            if (naming.trim()) take(naming);
            setNaming(null);
          }}
        />
      </View>
    );
  return (
    <DropMenu
      icon="layers-outline"
      label={layer || 'No layer'}
      says={`Layer: ${layer || 'none'}`}
      entries={[
        { title: 'None', icon: layer === '' ? 'check' : 'blank', onPress: () => take('') },
        ...names.map((name) => ({ title: name, icon: name === layer ? 'check' : 'blank', onPress: () => take(name) })),
        { title: 'A new one', icon: 'plus', onPress: () => setNaming('') },
      ]}
    />
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 10, gap: 8, paddingBottom: 6, flexGrow: 1 },
  field: { flex: 1, minWidth: 120, fontFamily: FONTS.sans },
  says: { paddingHorizontal: 14, paddingBottom: 4, fontSize: 14, lineHeight: 18 },
});
