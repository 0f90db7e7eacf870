import { zodResolver } from '@hookform/resolvers/zod';
import {
  LONGEST_NAME,
  type Units,
  USUAL,
  feetAndInches,
  formatLength,
  formatSize,
  likelier,
  newPlan,
  parseLength,
} from '@velvet-tape/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { type Control, Controller, useForm } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, HelperText, IconButton, SegmentedButtons, Text, TextInput } from 'react-native-paper';
import { z } from 'zod';
import { newOnDevice } from '../../sync/device';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { syncEngine } from '../plan/session';

const SIZES = ['external', 'internal', 'ceiling'] as const;
const ENTRY = {
  metric: { external: 'mm', internal: 'mm', ceiling: 'm' },
  imperial: { external: 'in', internal: 'in', ceiling: 'ft' },
} as const;

const MEASURED = { external: 'thickness', internal: 'thickness', ceiling: 'ceiling' } as const;

const formSchema = z
  .object({
    name: z.string().trim().max(LONGEST_NAME, `A name can have ${LONGEST_NAME} characters at most.`),
    address: z.string().trim().max(LONGEST_NAME, `An address can have ${LONGEST_NAME} characters at most.`),
    units: z.enum(['metric', 'imperial']),
    external: z.string(),
    internal: z.string(),
    ceiling: z.string(),
  })
  .superRefine((form, context) => {
    for (const name of SIZES) {
      const read = parseLength(form[name], ENTRY[form.units][name]);
      if (!read.ok) context.addIssue({ code: 'custom', path: [name], message: read.reason });
    }
  });
type Form = z.infer<typeof formSchema>;

const sizesIn = (units: Units): Pick<Form, 'external' | 'internal' | 'ceiling'> => {
  const { externalThickness, internalThickness, ceilingHeight } = USUAL[units];
  return units === 'metric'
    ? {
        external: `${externalThickness} mm`,
        internal: `${internalThickness} mm`,
        ceiling: `${(ceilingHeight / 1000).toFixed(2)} m`,
      }
    : {
        external: feetAndInches(externalThickness, 16),
        internal: feetAndInches(internalThickness, 16),
        ceiling: feetAndInches(ceilingHeight, 16),
      };
};

/** A new job: everything has a sensible default, so one tap is enough. */
export function NewJobScreen() {
  const router = useRouter();
  const colours = useColours();
  const { control, handleSubmit, setValue, setError, formState } = useForm<Form>({
    resolver: zodResolver(formSchema),
    defaultValues: { name: '', address: '', units: 'metric', ...sizesIn('metric') },
  });
  const [asked, setAsked] = useState('');
  const start = handleSubmit(async (form) => {
    const mm = (name: (typeof SIZES)[number]) => {
      const read = parseLength(form[name], ENTRY[form.units][name]);
      return read.ok ? read.mm : NaN;
    };
    // an unlikely size is asked about once, never refused
    const unlikely = SIZES.filter((name) => likelier(mm(name), MEASURED[name]).length > 0);
    const typed = JSON.stringify(unlikely.map((name) => form[name]));
    if (unlikely.length > 0 && asked !== typed) {
      setAsked(typed);
      for (const name of unlikely) {
        const said = name === 'ceiling' ? formatLength : formatSize;
        const others = likelier(mm(name), MEASURED[name]).map((size) => said(size, form.units));
        setError(name, {
          message: `${formatLength(mm(name), form.units)}? Did you mean ${others.join(' or ')}? Start again to keep it.`,
        });
      }
      return;
    }
    const usual = {
      externalThickness: mm('external'),
      internalThickness: mm('internal'),
      partyThickness: USUAL[form.units].partyThickness,
      ceilingHeight: mm('ceiling'),
    };
    const day = new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });
    const id = await newOnDevice(
      newPlan({ name: form.name || `Job of ${day}`, address: form.address, units: form.units, usual }),
    );
    syncEngine().wrote(id);
    router.replace(`/job/${id}`);
  });
  return (
    <View style={[styles.screen, { backgroundColor: colours.linen }]}>
      <View style={[styles.head, { backgroundColor: colours.velvet }]}>
        <IconButton
          icon="arrow-left"
          iconColor="#F8F2E7"
          accessibilityLabel="Jobs"
          onPress={() => router.dismissTo('/')}
          style={styles.icon}
        />
        <Text style={styles.title}>New job</Text>
      </View>
      <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
        <Field control={control} name="name" label="Name (can wait)" />
        <Field control={control} name="address" label="Address line" />
        <Controller
          control={control}
          name="units"
          render={({ field }) => (
            <SegmentedButtons
              value={field.value}
              onValueChange={(units) => {
                field.onChange(units);
                Object.entries(sizesIn(units as Units)).forEach(([name, text]) => setValue(name as keyof Form, text));
              }}
              buttons={[
                { value: 'metric', label: 'Metres', style: styles.segment },
                { value: 'imperial', label: 'Feet and inches', style: styles.segment },
              ]}
            />
          )}
        />
        <Text style={[styles.usual, { color: colours.ink }]}>What is usual in this house</Text>
        <Field control={control} name="external" label="Outer wall thickness" />
        <Field control={control} name="internal" label="Inner wall thickness" />
        <Field control={control} name="ceiling" label="Ceiling height" />
      </ScrollView>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        <Button
          mode="contained"
          icon="vector-square-plus"
          contentStyle={styles.tall}
          labelStyle={styles.startLabel}
          style={styles.width}
          onPress={start}
          loading={formState.isSubmitting}
        >
          Start measuring
        </Button>
      </View>
    </View>
  );
}

function Field({
  control,
  name,
  label,
}: {
  control: Control<Form>;
  name: Exclude<keyof Form, 'units'>;
  label: string;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <View>
          <TextInput
            mode="outlined"
            label={label}
            accessibilityLabel={label}
            value={field.value}
            onChangeText={field.onChange}
            onBlur={field.onBlur}
            error={fieldState.invalid}
          />
          {fieldState.error && (
            <HelperText type="error" role="alert">
              {fieldState.error.message}
            </HelperText>
          )}
        </View>
      )}
    />
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 4, minHeight: 60 },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
  title: { fontFamily: FONTS.serif, fontSize: 22, lineHeight: 30, color: '#F8F2E7' },
  form: { padding: 16, gap: 10, width: '100%', maxWidth: 720, alignSelf: 'center' },
  segment: { minHeight: TOUCH, justifyContent: 'center' },
  usual: { fontFamily: FONTS.serif, fontSize: 18, marginTop: 8 },
  width: { width: '100%', maxWidth: 720, alignSelf: 'center' },
  foot: { padding: 12, borderTopWidth: 1 },
  tall: { minHeight: 56 },
  startLabel: { fontSize: 18 },
});
