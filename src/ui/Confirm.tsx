import { Dialog, Portal } from 'react-native-paper';
import { StyleSheet } from 'react-native';
import { Button } from './Button';
import { useInk } from './theme';
import { Words } from './Words';

interface Props {
  title: string;
  text: string;
  verb: string;
  onConfirm: () => void;
  onClose: () => void;
}

/** Asks before something goes; says what else goes with it. */
export const Confirm = ({ title, text, verb, onConfirm, onClose }: Props) => {
  const ink = useInk();
  return (
    <Portal>
      <Dialog visible onDismiss={onClose} style={[styles.dialog, { borderColor: ink.ink }]}>
        <Dialog.Title>{title}</Dialog.Title>
        <Dialog.Content>
          <Words>{text}</Words>
        </Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onClose}>Cancel</Button>
          <Button
            mode="contained"
            buttonColor={ink.red}
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
