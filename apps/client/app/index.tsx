import { Text } from 'react-native';
export default function Index() { return <Text>hello</Text>; }
