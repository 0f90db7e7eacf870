import { createElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Waiting } from '../../../ui/Waiting';

/** A drawing in lines, as large as there is room for it. */
export function Lines({ svg, says }: { svg: string | null; says: string }) {
  if (svg === null) return <Waiting />;
  return (
    <View style={styles.page} testID="lines">
      {createElement('img', {
        alt: says,
        src: `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`,
        style: { width: '100%', height: '100%', objectFit: 'contain' },
      })}
    </View>
  );
}

const styles = StyleSheet.create({ page: { flex: 1, minHeight: 0, backgroundColor: '#FFFFFF' } });
