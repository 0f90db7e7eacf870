import { zodResolver } from '@hookform/resolvers/zod';
import { type Control, Controller, type FieldValues, type Path, useForm } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, HelperText, IconButton, SegmentedButtons, Text, TextInput } from 'react-native-paper';
import type { z } from 'zod';
import { selectOnFocus } from '../../ui/select-on-focus';
import { FONTS, TOUCH, useColours } from '../../ui/theme';

/** What stands in a form, one under the other. */
export type Row<F> =
  | { readonly kind: 'text'; readonly name: keyof F & string; readonly label: string; readonly lines?: number }
  | {
      readonly kind: 'choice';
      readonly name: keyof F & string;
      readonly choices: readonly { readonly value: string; readonly label: string }[];
      /** What else changes with it. */
      readonly with?: (value: string) => Partial<F>;
    }
  | { readonly kind: 'heading'; readonly text: string };

export interface FormProps<F> {
  readonly title: string;
  readonly schema: z.ZodType<F, F>;
  readonly values: F;
  readonly rows: readonly Row<F>[];
  readonly done: { readonly label: string; readonly icon: string };
  /** Does what the form is for, or says what is to be asked about which field. */
  readonly submit: (form: F) => Promise<readonly (readonly [keyof F & string, string])[]>;
  readonly back: { readonly label: string; now(): void };
  /** What else there is of it, in another place. */
  readonly aside?: { readonly label: string; readonly icon: string; now(): void };
}

/** A form that fills the screen. It knows nothing of jobs and plans: it comes by itself, with the library for it, when it is wanted. */
export default function JobForm<F extends FieldValues>({
  title,
  schema,
  values,
  rows,
  done,
  submit,
  back,
  aside,
}: FormProps<F>) {
  const colours = useColours();
  const { control, handleSubmit, setValue, setError, formState } = useForm<F, unknown, F>({
    resolver: zodResolver(schema),
    values,
    resetOptions: { keepDirtyValues: true },
  });
  const send = handleSubmit(async (form) => {
    for (const [name, message] of await submit(form)) setError(name as unknown as Path<F>, { message });
  });
  return (
    <View style={[styles.screen, { backgroundColor: colours.linen }]}>
      <View style={[styles.head, { backgroundColor: colours.velvet }]}>
        <IconButton
          icon="arrow-left"
          iconColor="#F8F2E7"
          accessibilityLabel={back.label}
          onPress={back.now}
          style={styles.icon}
        />
        <Text style={styles.title} role="heading" aria-level={1}>
          {title}
        </Text>
        {aside && (
          <Button icon={aside.icon} textColor={colours.onVelvet} contentStyle={styles.tall} onPress={aside.now}>
            {aside.label}
          </Button>
        )}
      </View>
      <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
        {rows.map((row) =>
          row.kind === 'heading' ? (
            <Text key={row.text} style={[styles.heading, { color: colours.ink }]} role="heading" aria-level={2}>
              {row.text}
            </Text>
          ) : row.kind === 'text' ? (
            <Field key={row.name} control={control} {...row} name={row.name as unknown as Path<F>} />
          ) : (
            <Controller
              key={row.name}
              control={control}
              name={row.name as unknown as Path<F>}
              render={({ field }) => (
                <SegmentedButtons
                  value={field.value}
                  onValueChange={(value) => {
                    field.onChange(value);
                    const also = Object.entries(row.with?.(value) ?? {});
                    for (const [name, text] of also) setValue(name as unknown as Path<F>, text, { shouldDirty: true });
                  }}
                  buttons={row.choices.map((choice) => ({ ...choice, style: styles.segment }))}
                />
              )}
            />
          ),
        )}
      </ScrollView>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        <Button
          mode="contained"
          icon={done.icon}
          contentStyle={styles.tall}
          labelStyle={styles.doneLabel}
          style={styles.width}
          onPress={send}
          loading={formState.isSubmitting}
        >
          {done.label}
        </Button>
      </View>
    </View>
  );
}

function Field<F extends FieldValues>({
  control,
  name,
  label,
  lines,
}: {
  control: Control<F, unknown, F>;
  name: Path<F>;
  label: string;
  lines?: number;
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
            {...(!lines && { onFocus: selectOnFocus })}
            {...(lines && { multiline: true, numberOfLines: lines })}
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
  heading: { fontFamily: FONTS.serif, fontSize: 18, marginTop: 8 },
  width: { width: '100%', maxWidth: 720, alignSelf: 'center' },
  foot: { padding: 12, borderTopWidth: 1 },
  tall: { minHeight: 56 },
  doneLabel: { fontSize: 18 },
});
