import type { PictureDetails, Sheet } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { lent } from '../later/lent';

const { edit, keepLogo, pickFiles, pictureFrom, useAppDispatch, useAppSelector } = lent();

/** What the title block says: of this sheet its name and revision, of all of the job who draws and what can be relied on. */
export function SheetForm({ sheet }: { sheet: Sheet }) {
  const dispatch = useAppDispatch();
  const job = useAppSelector((state) => state.plan.plan!.job);
  const [name, setName] = useState(sheet.name);
  const [revision, setRevision] = useState(sheet.revision);
  const [drawnBy, setDrawnBy] = useState(job.drawnBy);
  const [disclaimer, setDisclaimer] = useState(job.disclaimer);
  const keep = () => {
    if (name !== sheet.name || revision !== sheet.revision) {
      if (!dispatch(edit({ kind: 'changeSheet', sheet: sheet.id, name, revision })).ok) return;
    }
    if (drawnBy !== job.drawnBy || disclaimer !== job.disclaimer)
      dispatch(edit({ kind: 'changeJob', details: { drawnBy, disclaimer } }));
  };
  const changed =
    name !== sheet.name || revision !== sheet.revision || drawnBy !== job.drawnBy || disclaimer !== job.disclaimer;
  return (
    <View style={styles.form}>
      <TextInput mode="outlined" dense label="Shows" accessibilityLabel="Shows" value={name} onChangeText={setName} />
      <TextInput
        mode="outlined"
        dense
        label="Revision"
        accessibilityLabel="Revision"
        value={revision}
        onChangeText={setRevision}
      />
      <TextInput
        mode="outlined"
        dense
        label="Drawn by (all sheets)"
        accessibilityLabel="Drawn by"
        value={drawnBy}
        onChangeText={setDrawnBy}
      />
      <TextInput
        mode="outlined"
        dense
        multiline
        label="What can be relied on (all sheets)"
        accessibilityLabel="What can be relied on"
        value={disclaimer}
        onChangeText={setDisclaimer}
      />
      <Logo logo={job.logo} />
      <BarButton strong label="Keep" says="Keep the words" disabled={!changed} onPress={keep} />
    </View>
  );
}

/** The picture in every title block; new jobs of the workspace have it too. */
function Logo({ logo }: { logo: PictureDetails | null }) {
  const dispatch = useAppDispatch();
  const take = (picture: PictureDetails | null) => {
    if (dispatch(edit({ kind: 'changeJob', details: { logo: picture } })).ok) keepLogo(picture);
  };
  const pick = () =>
    void pickFiles({ accept: 'image/*', several: false }).then(async ([file]) => {
      const picture = file && (await dispatch(pictureFrom(file)));
      if (picture) take(picture);
    });
  return (
    <View style={styles.logo}>
      <BarButton icon="image-outline" label={logo ? 'Another logo' : 'Logo'} says="Logo of all sheets" onPress={pick} />
      {logo && <BarButton icon="trash-can-outline" label="No logo" onPress={() => take(null)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  form: { paddingHorizontal: 14, paddingBottom: 12, gap: 8 },
  logo: { flexDirection: 'row', gap: 8 },
});
