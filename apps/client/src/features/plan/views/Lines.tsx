import { createElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Waiting } from '../../../ui/Waiting';

/** On paper lines are a fifth of a millimetre: on a screen they would come and go. */
const onScreen = (svg: string): string =>
  svg.replace(
    '</title>',
    '</title><style>path{vector-effect:non-scaling-stroke;stroke-width:1.1px}[data-role$=fine]{stroke-width:.7px}</style>',
  );

/** A drawing in lines, as large as there is room for it. */
export function Lines({ svg, says }: { svg: string | null; says: string }) {
  if (svg === null) return <Waiting />;
  return (
    <View style={styles.page} testID="lines">
      {createElement('img', {
        alt: says,
        src: `data:image/svg+xml;utf8,${encodeURIComponent(onScreen(svg))}`,
        style: { width: '100%', height: '100%', objectFit: 'contain' },
      })}
    </View>
  );
}

const styles = StyleSheet.create({ page: { flex: 1, minHeight: 0, backgroundColor: '#FFFFFF' } });
