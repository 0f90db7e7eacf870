import type { BuiltIn, ModuleFill, PieceModule } from '@velvet-tape/core';
import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import Svg, { G } from 'react-native-svg';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { chosenOf, standingNow } from './standing';

const { MODULE_FILLS, DropMenu, MarkView, capital, edit, formatLength, parseLength, planActions } = lent();
const { selectFloor, useAppDispatch, useAppSelector } = lent();

/** The front of a piece that is built in, and its parts one by one: how wide each is, and what fills it. */
export default function PieceModules() {
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingNow);
  const one = chosen.kind === 'piece' ? chosenOf(all, chosen)[0] : undefined;
  if (!one?.piece.builtIn) return null;
  return <Modules key={one.piece.id} one={one} all={all} spec={one.piece.builtIn} />;
}

function Modules({ one, all, spec }: { one: PieceOnFloor; all: readonly PieceOnFloor[]; spec: BuiltIn }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { units } = useAppSelector((state) => state.plan.plan!.job);
  const [at, setAt] = useState(0);
  const { layModules } = laterRooms();
  const { piece } = one;
  const { laid, left } = layModules(piece.width, spec.modules);
  const shown = Math.min(at, spec.modules.length - 1);
  const own = spec.modules[shown]!;
  const change = (to: Partial<BuiltIn>) =>
    dispatch(edit({ kind: 'changePiece', piece: piece.id, to: { builtIn: { ...spec, ...to } } })).ok;
  const put = (to: Partial<PieceModule>) =>
    change({ modules: spec.modules.map((each, i) => (i === shown ? { ...each, ...to } : each)) });
  const floor = useAppSelector(selectFloor)!;
  const stands = useMemo(() => laterRooms().onItsWallInWords(floor, one), [floor, one]);
  const fill = () => {
    const found = laterRooms().wallToWall(floor, one, all);
    if (found) {
      const { width, stand } = found;
      dispatch(edit({ kind: 'changePiece', piece: piece.id, to: { width, stand } }));
    } else dispatch(planActions.said({ text: 'It is not at a straight wall.', tone: 'refused' }));
  };
  const length = (text: string, keep: (mm: number) => boolean): boolean => {
    if (/^0*$/.test(text.trim())) return keep(0);
    const read = parseLength(text, units === 'metric' ? 'mm' : 'in');
    if (read.ok) return keep(read.mm);
    dispatch(planActions.said({ text: read.reason, tone: 'refused' }));
    return false;
  };
  return (
    <View testID="piece-modules">
      <Front one={one} at={laid[shown]!.from} wide={laid[shown]!.wide} />
      {stands && <Text style={[styles.says, { color: colours.inkSoft }]}>{stands}</Text>}
      <ListBar>
        <BarIcon icon="chevron-left" says="The part to the left" onPress={() => setAt(Math.max(0, shown - 1))} />
        <Text style={[styles.part, { color: colours.ink }]}>
          {`Part ${shown + 1} of ${spec.modules.length}: ${formatLength(laid[shown]!.wide, units)}`}
        </Text>
        <BarIcon
          icon="chevron-right"
          says="The part to the right"
          onPress={() => setAt(Math.min(spec.modules.length - 1, shown + 1))}
        />
        <BarIcon
          icon="plus"
          says="One part more"
          onPress={() =>
            change({
              modules: [...spec.modules.slice(0, shown + 1), { ...own, width: null }, ...spec.modules.slice(shown + 1)],
            })
          }
        />
        {spec.modules.length > 1 && (
          <BarIcon
            icon="delete-outline"
            says="Take this part away"
            onPress={() => change({ modules: spec.modules.filter((_, i) => i !== shown) })}
          />
        )}
      </ListBar>
      <ListBar>
        <Typed
          key={`width ${shown} ${own.width}`}
          label="Its width"
          value={own.width === null ? '' : formatLength(own.width, units)}
          hint="what is left"
          keep={(text) => (text.trim() === '' ? put({ width: null }) : length(text, (width) => put({ width })))}
        />
        <DropMenu
          icon="menu-down"
          label={`${capital(own.fill)} × ${own.count}`}
          says="What fills it"
          entries={MODULE_FILLS.map((fill: ModuleFill) => ({ title: capital(fill), onPress: () => put({ fill }) }))}
        />
        <BarIcon icon="minus" says="Fewer of them" onPress={() => put({ count: Math.max(1, own.count - 1) })} />
        <BarIcon icon="plus" says="More of them" onPress={() => put({ count: Math.min(20, own.count + 1) })} />
      </ListBar>
      <ListBar>
        <BarButton label="Wall to wall" says="From wall to wall, or to what stands there" onPress={fill} />
        <BarButton
          label="All alike"
          says="All parts like this one, equally wide"
          onPress={() => change({ modules: spec.modules.map(() => ({ ...own, width: null })) })}
        />
        <Typed
          key={`plinth ${spec.plinth}`}
          label="Plinth"
          value={formatLength(spec.plinth, units)}
          keep={(text) => length(text, (plinth) => change({ plinth }))}
        />
        <Typed
          key={`overhang ${spec.overhang}`}
          label="Top over its front"
          value={formatLength(spec.overhang, units)}
          keep={(text) => length(text, (overhang) => change({ overhang }))}
        />
      </ListBar>
      {left > 0.5 && (
        <Text style={[styles.says, { color: colours.inkSoft }]}>
          {`${formatLength(left, units)} are left over: leave the width of a part open, and it takes them.`}
        </Text>
      )}
    </View>
  );
}

function Typed({
  label,
  value,
  hint,
  keep,
}: {
  label: string;
  value: string;
  hint?: string;
  keep(text: string): boolean;
}) {
  const [text, setText] = useState(value);
  const end = () => {
    if (text !== value) keep(text);
  };
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={label}
      placeholder={hint ?? ''}
      value={text}
      onChangeText={setText}
      onBlur={end}
      onSubmitEditing={end}
      style={styles.typed}
    />
  );
}

const [WIDE, HIGH] = [340, 120];

/** Its front, with the part that is looked at marked. */
function Front({ one, at, wide }: { one: PieceOnFloor; at: number; wide: number }) {
  const colours = useColours();
  const { pieceFront } = laterRooms();
  const marks = useMemo(() => pieceFront(one.piece), [one.piece, pieceFront]);
  const { width, height } = one.piece;
  const k = Math.min(WIDE / width, HIGH / height);
  const marked = [
    { x: at, y: 0 },
    { x: at + wide, y: 0 },
    { x: at + wide, y: height },
    { x: at, y: height },
  ];
  return (
    <View style={styles.front}>
      <Svg width={width * k + 4} height={height * k + 4} role="img" accessibilityLabel="Its front">
        <G transform={`matrix(${k} 0 0 ${k} 2 2)`}>
          {marks.map((mark) => (
            <MarkView key={mark.key} mark={mark} colours={colours} lettering={100} />
          ))}
          <MarkView
            mark={{ kind: 'path', role: 'dimension.tick', key: 'part', rings: [marked], closed: true }}
            colours={colours}
            lettering={100}
          />
        </G>
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  front: { alignItems: 'center', paddingVertical: 4 },
  part: { flexGrow: 1, fontFamily: FONTS.sans, fontSize: 15, alignSelf: 'center', fontVariant: ['tabular-nums'] },
  typed: { width: 118, fontFamily: FONTS.sans, height: 44 },
  says: { paddingHorizontal: 14, paddingBottom: 4, fontSize: 14, lineHeight: 18 },
});
