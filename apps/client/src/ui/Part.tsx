import { Component, type ReactNode, Suspense } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { Waiting } from './Waiting';

/** A part of the application that comes when it is wanted: while it is on its way that is shown, and where it can't be had or shown that is said, with a way back. */
export function Part({ back, children }: { back?: { label: string; now(): void }; children: ReactNode }) {
  return (
    <NotHad instead={<Failed back={back} />}>
      <Suspense fallback={<Waiting />}>{children}</Suspense>
    </NotHad>
  );
}

/** Something that is of use and can be done without: until it comes, and where it can't be had, there is nothing, or what is given. */
export const Quiet = ({ instead = null, children }: { instead?: ReactNode; children: ReactNode }) => (
  <NotHad instead={instead}>
    <Suspense fallback={instead}>{children}</Suspense>
  </NotHad>
);

/** Shows something else where what it holds can't be had or shown. */
class NotHad extends Component<{ instead: ReactNode; children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError = () => ({ failed: true });
  override render() {
    return this.state.failed ? this.props.instead : this.props.children;
  }
}

const Failed = ({ back }: { back: { label: string; now(): void } | undefined }) => (
  <View style={styles.failed} role="alert">
    <Text style={styles.words}>
      This part could not be shown. Without a connection it may not be on the device yet. What was done is kept: try
      again, or load the page anew.
    </Text>
    {back && (
      <Button mode="contained" onPress={back.now}>
        {back.label}
      </Button>
    )}
    <Button onPress={() => globalThis.location?.reload()}>Load again</Button>
  </View>
);

const styles = StyleSheet.create({
  failed: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 14, padding: 30 },
  words: { fontSize: 17, textAlign: 'center' },
});
