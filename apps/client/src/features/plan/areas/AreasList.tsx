import type { AreaRuleName, RoomUse, Units } from '@velvet-tape/core';
import type { AreaReport, AreasOfHouse } from '@velvet-tape/core/areas';
import { areaRows, areaSheets } from '@velvet-tape/formats/area-rows';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { Spinner } from '../../../ui/Spinner';

const { AREA_RULES, DropMenu, ROOM_USES, areaInWords, capital, downloadBook, downloadTable, edit } = lent();
const { parseArea, planActions, roundedTo, useAppDispatch, useAppSelector, useAreas } = lent();

/** What the house has by a rule, or by two side by side: floor by floor, room by room, with the reasons; and what that is to the listing. */
export default function AreasList() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const areas = useAreas();
  const job = useAppSelector((state) => state.plan.plan?.job);
  const [uses, setUses] = useState(false);
  if (!job) return <View />;
  const reports = areas && areas !== 'failed' ? areas.reports : [];
  return (
    <ListPanel
      title="Areas"
      testID="areas"
      downloads={[
        {
          icon: 'table-large',
          says: 'Areas as a workbook (XLSX)',
          now: () => void dispatch(downloadBook('areas', areaSheets(reports))),
        },
        { icon: 'download', says: 'Areas as CSV', now: () => void dispatch(downloadTable('areas', areaRows(reports))) },
      ]}
    >
      <ListBar>
        <Rules rule={job.areaRule} beside={job.besideRule} />
        <BarButton
          icon="texture-box"
          label="On the plan"
          says="Show on the plan what counts"
          onPress={() => {
            dispatch(planActions.listed(null));
            dispatch(planActions.toolChosen('areas'));
          }}
        />
        <BarButton
          icon="shape-outline"
          label="Uses"
          says="What each room is used for"
          chosen={uses}
          onPress={() => setUses(!uses)}
        />
      </ListBar>
      <ScrollView>
        {areas === null && <Spinner style={styles.wait} says="The areas are counted" />}
        {areas === 'failed' && (
          <Text style={[styles.none, { color: colours.clay }]}>
            The areas could not be worked out. Load the page again, then try once more.
          </Text>
        )}
        {areas && areas !== 'failed' && (
          <>
            {areas.reports.map((report) => (
              <Total key={report.rule.name} report={report} />
            ))}
            <Listing key={job.listed} areas={areas} listed={job.listed} units={job.units} />
            <Rooms reports={areas.reports} uses={uses} />
          </>
        )}
      </ScrollView>
    </ListPanel>
  );
}

/** The rule that counts, and the one beside it. */
function Rules({ rule, beside }: { rule: AreaRuleName; beside: AreaRuleName | null }) {
  const dispatch = useAppDispatch();
  const change = (details: { areaRule: AreaRuleName } | { besideRule: AreaRuleName | null }) => () =>
    dispatch(edit({ kind: 'changeJob', details }));
  return (
    <>
      <DropMenu
        icon="sort"
        label={capital(rule)}
        says={`Counted by ${rule}. Change the rule.`}
        entries={AREA_RULES.map((each) => ({
          title: capital(each),
          icon: each === rule ? 'check' : 'blank',
          onPress: change({ areaRule: each }),
        }))}
      />
      <DropMenu
        icon="plus"
        label={beside ? capital(beside) : 'Beside it'}
        says={beside ? `Beside it ${beside}. Change.` : 'Another rule beside it'}
        entries={[null, ...AREA_RULES].map((each) => ({
          title: each ? capital(each) : 'No other rule',
          icon: each === beside ? 'check' : 'blank',
          onPress: change({ besideRule: each }),
        }))}
      />
    </>
  );
}

/** What it comes to, how sure that is, and whose rule it is. */
function Total({ report: { rule, table, doubt } }: { report: AreaReport }) {
  const colours = useColours();
  const { deviation, rough, counted, apart } = table;
  const words = (mm2: number) => areaInWords(mm2, rule.rounding);
  const sure = deviation === null || rough ? null : words(Math.max(deviation, rule.rounding.square * rule.rounding.to));
  return (
    <View style={styles.total} accessible testID={`total ${rule.name}`}>
      <Text style={[styles.figure, { color: colours.ink }]}>
        {`${rough ? '≈ ' : ''}${words(counted)}`}
        {sure && <Text style={[styles.small, { color: colours.inkSoft }]}>{`  ± ${sure}`}</Text>}
      </Text>
      <Text style={[styles.small, { color: colours.inkSoft }]}>{`${rule.standard}. ${rule.says}`}</Text>
      {apart.length > 0 && (
        <Text style={[styles.small, { color: colours.ink }]}>
          {`By itself: ${apart.map(({ name, area }) => `${name}: ${words(area)}`).join(', ')}.`}
        </Text>
      )}
      {doubt && <Text style={[styles.small, { color: colours.clay }]}>{doubt}</Text>}
    </View>
  );
}

/** What the listing says, and which rule comes nearest to it. */
function Listing({ areas, listed, units }: { areas: AreasOfHouse; listed: number | null; units: Units }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const rounding = units === 'metric' ? roundedTo(0.01, 'm²') : roundedTo(1, 'ft²');
  const { unit, square } = rounding;
  const [text, setText] = useState(listed === null ? '' : String(Math.round((listed / square) * 100) / 100));
  const [wrong, setWrong] = useState('');
  const take = () => {
    const read = text.trim() === '' ? { ok: true as const, mm2: null } : parseArea(text, unit);
    setWrong(read.ok ? '' : read.reason);
    if (read.ok) dispatch(edit({ kind: 'changeJob', details: { listed: read.mm2 } }));
  };
  const { nearest } = areas;
  const off = (by: number) => `${by < 0 ? '−' : '+'}${areaInWords(Math.abs(by), rounding)}`;
  return (
    <View style={[styles.listing, { borderColor: colours.linenDeep }]}>
      <View style={styles.row}>
        <TextInput
          mode="outlined"
          dense
          label={`The listing says (${unit})`}
          accessibilityLabel={`The listing says, ${unit}`}
          inputMode="decimal"
          value={text}
          onChangeText={setText}
          onSubmitEditing={take}
          onBlur={() => text.trim() !== '' && take()}
          style={styles.input}
        />
        <BarButton label="Compare" onPress={take} />
      </View>
      {wrong !== '' && <Text style={[styles.small, { color: colours.clay }]}>{wrong}</Text>}
      {nearest.length > 0 && listed !== null && (
        <Text testID="nearest" style={[styles.words, { color: colours.ink }]}>
          {`${capital(nearest[0]!.rule.name)} comes nearest: ${off(nearest[0]!.by)}.`}
        </Text>
      )}
      {nearest.slice(1).map(({ rule, by }) => (
        <Text key={rule.name} style={[styles.small, { color: colours.inkSoft }]}>
          {`${capital(rule.name)} ${off(by)}`}
        </Text>
      ))}
    </View>
  );
}

/** Floor by floor, room by room, what counts by each rule; a tap on a room tells why; what each is used for where that is asked for. */
function Rooms({ reports, uses }: { reports: readonly AreaReport[]; uses: boolean }) {
  const colours = useColours();
  const [open, setOpen] = useState<string | null>(null);
  const [first] = reports;
  if (!first) return null;
  return first.table.floors
    .filter(({ lines }) => lines.length > 0)
    .map((floor) => (
      <View key={floor.floor}>
        <View style={[styles.line, styles.head, { borderColor: colours.linenDeep }]}>
          <Text style={[styles.name, styles.serif, { color: colours.ink }]}>{floor.name}</Text>
          {reports.map(({ rule, table }) => (
            <Text key={rule.name} style={[styles.value, { color: colours.ink }]}>
              {areaInWords(table.floors.find((each) => each.floor === floor.floor)?.counted ?? 0, rule.rounding)}
            </Text>
          ))}
        </View>
        {floor.lines.map((line) => {
          const key = `${floor.floor} ${line.room ?? 'walls'}`;
          return (
            <View key={key} style={[styles.room, { borderColor: colours.linenDeep }]}>
              <Pressable
                accessibilityRole="button"
                accessibilityLabel={`${line.name}: why`}
                aria-expanded={open === key}
                onPress={() => setOpen(open === key ? null : key)}
                style={styles.press}
              >
                <View style={styles.name}>
                  <Text style={[styles.words, { color: colours.ink }]}>{line.name}</Text>
                  {line.use !== null && (
                    <Text style={[styles.small, { color: colours.inkSoft }]}>
                      {line.chosen ? line.use : `${line.use}, as its name says`}
                    </Text>
                  )}
                </View>
                {reports.map(({ rule, table }) => {
                  const same = table.floors
                    .find((each) => each.floor === floor.floor)
                    ?.lines.find(({ room }) => room === line.room);
                  return (
                    <Text key={rule.name} style={[styles.value, { color: colours.ink }]}>
                      {areaInWords(same?.counted ?? 0, rule.rounding)}
                    </Text>
                  );
                })}
              </Pressable>
              {uses && line.room !== null && line.use !== null && (
                <Uses room={line.room} name={line.name} use={line.use} chosen={line.chosen} />
              )}
              {open === key && <Why reports={reports} floor={floor.floor} room={line.room} />}
            </View>
          );
        })}
      </View>
    ));
}

function Why({ reports, floor, room }: { reports: readonly AreaReport[]; floor: string; room: string | null }) {
  const colours = useColours();
  return reports.map(({ rule, table }) => {
    const line = table.floors.find((each) => each.floor === floor)?.lines.find((each) => each.room === room);
    return (
      <View key={rule.name} style={styles.why}>
        {reports.length > 1 && <Text style={[styles.words, { color: colours.ink }]}>{capital(rule.name)}</Text>}
        {line?.reasons.map(({ reason, share, area }) => (
          <Text key={reason} style={[styles.small, { color: colours.inkSoft }]}>
            {`${areaInWords(area, rule.rounding)} × ${Math.round(share * 100)} %: ${reason}`}
          </Text>
        ))}
      </View>
    );
  });
}

/** What a room is used for, guessed from its name until it is chosen: one tap; two words more where it is not counted. */
function Uses({ room, name, use, chosen }: { room: string; name: string; use: RoomUse; chosen: boolean }) {
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState<string | null>(null);
  const set = (to: RoomUse | null, reason?: string) => {
    const { ok } = dispatch(edit({ kind: 'useRoom', room, use: to, ...(reason !== undefined && { reason }) }));
    if (ok) setWhy(null);
  };
  return (
    <>
      <View style={styles.uses}>
        {ROOM_USES.map((each) => (
          <BarButton
            key={each}
            label={capital(each)}
            says={`${name}: ${each}`}
            chosen={chosen && each === use}
            onPress={() => (each === 'not counted' ? setWhy('') : set(each))}
          />
        ))}
        {chosen && <BarButton label="As its name says" says={`${name}: as its name says`} onPress={() => set(null)} />}
      </View>
      {why !== null && (
        <View style={styles.row}>
          <TextInput
            mode="outlined"
            dense
            autoFocus
            label="Why is it not counted?"
            accessibilityLabel="Why is it not counted?"
            value={why}
            onChangeText={setWhy}
            onSubmitEditing={() => set('not counted', why)}
            style={styles.input}
          />
          <BarButton label="Set" onPress={() => set('not counted', why)} />
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  wait: { padding: 30 },
  none: { padding: 14, fontSize: 15 },
  total: { paddingHorizontal: 14, paddingVertical: 6 },
  figure: { fontFamily: FONTS.strong, fontSize: 26, lineHeight: 32, fontVariant: ['tabular-nums'] },
  small: { fontSize: 13.5, lineHeight: 18 },
  words: { fontFamily: FONTS.strong, fontSize: 15, lineHeight: 20 },
  listing: { paddingHorizontal: 14, paddingVertical: 8, borderTopWidth: 1, gap: 2 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  input: { flex: 1 },
  uses: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, paddingBottom: 8 },
  head: { borderTopWidth: 2, paddingHorizontal: 14, minHeight: TOUCH },
  room: { borderTopWidth: 1, paddingVertical: 2, paddingLeft: 14, paddingRight: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  press: { flexDirection: 'row', alignItems: 'center', gap: 6, minHeight: TOUCH },
  name: { flex: 1, fontSize: 15 },
  serif: { fontFamily: FONTS.serif, fontSize: 18 },
  value: { fontFamily: FONTS.strong, fontSize: 15, fontVariant: ['tabular-nums'], minWidth: 74, textAlign: 'right' },
  why: { paddingBottom: 8, gap: 2 },
});
