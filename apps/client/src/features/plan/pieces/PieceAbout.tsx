import type { Piece } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { Swatches } from './Swatches';
import { chosenOf, standingNow } from './standing';

const { Written, edit, keepPiece, planActions, selectOption, useAppDispatch, useAppSelector } = lent();

/** What a piece is called, who made it, what it costs; whether it belongs to the house. */
export default function PieceAbout() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingNow);
  const option = useAppSelector(selectOption);
  const [one, ...rest] = chosen.kind === 'piece' ? chosenOf(all, chosen) : [];
  if (!one) return null;
  const { piece } = one;
  const { pieceName } = laterRooms();
  const change = (to: Partial<Piece>) => dispatch(edit({ kind: 'changePiece', piece: piece.id, to })).ok;
  const together = rest.map((other) => other.piece.id);
  const onLayer = (layer: string) =>
    dispatch(edit({ kind: 'changePiece', piece: piece.id, to: { layer }, with: together })).ok;
  const priced = (text: string): boolean => {
    const clean = text.trim().replace(/\s/g, '').replace(',', '.');
    if (clean === '') return change({ price: null });
    const price = Number(clean);
    if (Number.isFinite(price) && price >= 0) return change({ price });
    dispatch(planActions.said({ text: 'A price is a number, like 480 or 1250.50.', tone: 'refused' }));
    return false;
  };
  const line = (label: string, value: string, keep: (text: string) => boolean) => (
    <Written key={`${piece.id} ${label} ${value}`} label={label} value={value} keep={keep} style={styles.field} />
  );
  return (
    <View testID="piece-about" style={{ backgroundColor: colours.chalk }}>
      <View style={styles.fields}>
        {line('Name', piece.name || pieceName(piece), (name) => change({ name }))}
        {line('Maker', piece.maker, (maker) => change({ maker }))}
        {line('Price', piece.price === null ? '' : String(piece.price), priced)}
        {line('Note', piece.note, (note) => change({ note }))}
        {line('Link', piece.link, (link) => change({ link }))}
        {line(together.length > 0 ? `Layer of all ${together.length + 1}` : 'Layer', piece.layer, onLayer)}
      </View>
      <ListBar>
        <BarButton label="Loose" chosen={!piece.fixed} onPress={() => change({ fixed: false })} />
        <BarButton
          label="Fixed"
          says="Fixed: it belongs to the house"
          chosen={piece.fixed}
          onPress={() => change({ fixed: true })}
        />
        {option !== null && (
          <BarButton
            label="In all options"
            chosen={piece.option === ''}
            onPress={() => change({ option: piece.option === '' ? option : '' })}
          />
        )}
        <BarButton
          icon="star-outline"
          label="Keep"
          says="Keep it for later jobs"
          onPress={() => dispatch(keepPiece(piece, pieceName(piece)))}
        />
        <Swatches now={piece.colour} take={(colour) => change({ colour })} />
      </ListBar>
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingHorizontal: 10, paddingBottom: 8 },
  field: { flexGrow: 1, flexBasis: '45%', minWidth: 130, fontFamily: FONTS.sans, height: 44 },
});
