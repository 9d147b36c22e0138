import { Dialog, Portal } from 'react-native-paper';
import { StyleSheet } from 'react-native';
import { Button } from './Button';
import { useColors } from './theme';
import { Text } from './Text';
import { useLayer } from './useLayer';

interface Props {
  title: string;
  text: string;
  verb: string;
  onConfirm: () => void;
  onClose: () => void;
}

/** Asks before something goes; says what else goes with it. */
export const Confirm = ({ title, text, verb, onConfirm, onClose }: Props) => {
  const colors = useColors();
  useLayer(onClose);
  return (
    <Portal>
      <Dialog visible onDismiss={onClose} style={[styles.dialog, { borderColor: colors.ink }]}>
        <Dialog.Title>{title}</Dialog.Title>
        <Dialog.Content>
          <Text>{text}</Text>
        </Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onClose}>Cancel</Button>
          <Button
            mode="contained"
            buttonColor={colors.red}
            onPress={() => {
              onConfirm();
              onClose();
            }}
          >
            {verb}
          </Button>
        </Dialog.Actions>
      </Dialog>
    </Portal>
  );
};

const styles = StyleSheet.create({
  dialog: { borderWidth: 1, maxWidth: 480, alignSelf: 'center', width: '92%' },
});
