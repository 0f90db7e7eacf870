import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { Fraunces_600SemiBold } from '@expo-google-fonts/fraunces/600SemiBold';
import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { useEffect } from 'react';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { registerServiceWorker } from '../src/offline/register';
import { figuresOfDevice } from '../src/ui/figures';
import { HouseIcon } from '../src/ui/HouseIcon';
import { darkTheme, lightTheme } from '../src/ui/theme';
import { useStill } from '../src/ui/use-still';

// before anything is written
figuresOfDevice();

export default function RootLayout() {
  const dark = useColorScheme() === 'dark';
  const [ready] = useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_700Bold,
    Fraunces_600SemiBold,
  });
  const still = useStill();
  useEffect(registerServiceWorker, []);
  if (!ready) return null;
  const base = dark ? darkTheme : lightTheme;
  const theme = still ? { ...base, animation: { ...base.animation, scale: 0 } } : base;
  return (
    <PaperProvider theme={theme} settings={{ icon: HouseIcon }}>
      <Stack
        screenOptions={{
          headerShown: false,
          animation: 'none',
          contentStyle: { backgroundColor: theme.house.linen },
          title: 'Velvet Tape',
        }}
      />
    </PaperProvider>
  );
}
