import { Component, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { reloadPage } from '@/platform/page';
import { saveEverything } from '@/data/everything';
import { StorageGone } from '@/data/storage';
import { Button, Text } from '@/ui';

interface Props {
  /** What is around: `Compost station`, or all of Billet. */
  where: string;
  children: ReactNode;
}

/** What breaks while it is drawn is told in place of it; all else goes on, and nothing that is kept is touched. */
export class ErrorScreen extends Component<Props, { error: Error | null }> {
  override state: { error: Error | null } = { error: null };

  static getDerivedStateFromError(error: Error): { error: Error } {
    return { error };
  }

  private readonly again = (): void => {
    this.setState({ error: null });
  };

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    return (
      <View style={styles.screen} role="alert">
        <Text size="title">{`${this.props.where} cannot be shown`}</Text>
        <Text>
          {error instanceof StorageGone
            ? 'The browser does not open what it keeps for Billet. Nothing of it is lost: close other windows of Billet, then open it anew.'
            : 'Something broke while it was drawn. What you made is kept in this browser as it was; save it to a file before you try anything else.'}
        </Text>
        <View style={styles.buttons}>
          {error instanceof StorageGone ? null : (
            <Button mode="contained" onPress={() => void saveEverything('billet-everything.json')}>
              Save everything to a file
            </Button>
          )}
          <Button mode="outlined" onPress={this.again}>
            Try again
          </Button>
          <Button mode="outlined" onPress={reloadPage}>
            Open Billet anew
          </Button>
        </View>
        <Text size="small" tone="soft">
          {reportOf(error)}
        </Text>
      </View>
    );
  }
}

/** What helps to mend it, to be copied: the fault and where in the code, nothing that the user typed. */
const reportOf = ({ name, stack = '' }: Error): string =>
  [
    name,
    ...stack
      .split('\n')
      .filter((line) => /^\s*at /.test(line))
      .slice(0, 4),
  ]
    .map((line) => line.trim().replace(/https?:\/\/[^/]+/, ''))
    .join('\n');

const styles = StyleSheet.create({
  screen: { padding: 24, gap: 16, maxWidth: 620 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
