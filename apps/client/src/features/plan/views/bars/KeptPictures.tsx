import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarIcon } from '../../../../ui/BarButton';
import { useColours } from '../../../../ui/theme';
import { lent } from '../../later/lent';

const { download, edit, fileName, pictureOf, planActions, useAppDispatch, useAppSelector } = lent();

/** Pictures that are kept with the job: left as files, taken away. */
export function KeptPictures() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const all = Object.values(plan.taken).sort((a, b) => b.time.localeCompare(a.time));
  if (all.length === 0) return null;
  const leave = (name: string, picture: string) =>
    void pictureOf(picture)
      .then((blob) => download(`${fileName(name)}.${blob.type === 'image/png' ? 'png' : 'jpg'}`, blob.type, blob))
      .catch(() =>
        dispatch(
          planActions.said({
            text: 'That picture is not on this device yet, and there is no connection.',
            tone: 'refused',
          }),
        ),
      );
  return (
    <ScrollView style={styles.list} testID="kept-pictures">
      {all.map(({ id, name, picture, width, height }) => (
        <View key={id} style={styles.row}>
          <Text style={[styles.name, { color: colours.ink }]} numberOfLines={1}>{`${name}, ${width} × ${height}`}</Text>
          <BarIcon icon="download" says={`Leave ${name} as a file`} onPress={() => leave(name, picture)} />
          <BarIcon
            icon="delete-outline"
            says={`Remove ${name}`}
            onPress={() => dispatch(edit({ kind: 'removeTaken', taken: id }))}
          />
        </View>
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  list: { maxHeight: 150, flexGrow: 0 },
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 14, paddingRight: 6 },
  name: { flex: 1, fontSize: 15 },
});
