import { StyleSheet } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { IconName } from '../../icons/paths';

/**
 * The button at the end of a field that opens what its value is picked from. Not a component: Paper's fields take their own
 * kind of icon there and nothing around it.
 */
export const pickButton = (icon: IconName, label: string, onPress: () => void) => (
  <TextInput.Icon
    icon={icon}
    size={18}
    accessibilityLabel={label}
    onPress={onPress}
    forceTextInputFocus={false}
    style={styles.button}
  />
);

const styles = StyleSheet.create({ button: { overflow: 'visible', margin: 0 } });
