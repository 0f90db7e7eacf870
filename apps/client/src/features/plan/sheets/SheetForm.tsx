import type { PictureDetails, Sheet } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { BarButton } from '../../../ui/BarButton';
import { lent } from '../later/lent';

/** Far more than fits a title block. */
const LONGEST_DISCLAIMER = 1000;

const { Written, edit, keepLogo, pickFiles, pictureFrom, useAppDispatch, useAppSelector } = lent();

/** What the title block says: of this sheet its name and revision, of all of the job who draws and what can be relied on. */
export function SheetForm({ sheet }: { sheet: Sheet }) {
  const dispatch = useAppDispatch();
  const job = useAppSelector((state) => state.plan.plan!.job);
  const ofSheet = (change: Partial<Pick<Sheet, 'name' | 'revision'>>) =>
    dispatch(edit({ kind: 'changeSheet', sheet: sheet.id, name: sheet.name, revision: sheet.revision, ...change })).ok;
  const ofJob = (details: Partial<Pick<typeof job, 'drawnBy' | 'disclaimer'>>) =>
    dispatch(edit({ kind: 'changeJob', details })).ok;
  return (
    <View style={styles.form}>
      <Written key={`name ${sheet.name}`} label="Shows" value={sheet.name} keep={(name) => ofSheet({ name })} />
      <Written
        key={`revision ${sheet.revision}`}
        label="Revision"
        value={sheet.revision}
        keep={(revision) => ofSheet({ revision })}
      />
      <Written
        key={`drawn by ${job.drawnBy}`}
        label="Drawn by (all sheets)"
        called="Drawn by"
        value={job.drawnBy}
        keep={(drawnBy) => ofJob({ drawnBy })}
      />
      <Written
        key={`relied on ${job.disclaimer}`}
        multiline
        most={LONGEST_DISCLAIMER}
        label="What can be relied on (all sheets)"
        called="What can be relied on"
        value={job.disclaimer}
        keep={(disclaimer) => ofJob({ disclaimer })}
      />
      <Logo logo={job.logo} />
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
