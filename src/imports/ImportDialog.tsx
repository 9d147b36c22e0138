import { useEffect, useEffectEvent, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter, type Href } from 'expo-router';
import type { Problem, Result } from '@/core/result';
import {
  pickFile,
  useBook,
  useOpenBook,
  useProjects,
  useSettings,
  useToday,
  type OpenProject,
} from '@/hooks';
import { stopReading } from '@/state/reading';
import { Button, Faults, Sheet, Text } from '@/ui';
import { formatOf, IMPORT_FORMATS } from './formats';
import type {
  ImportAction,
  ImportContext,
  ImportFile,
  ImportFormat,
  ImportPreview,
  ImportTools,
  PriceTarget,
} from './types';

/** What a file is taken in for. */
export interface ImportProps {
  /** What is asked for; what a file is, it says itself. */
  wanted: ImportFormat['id'];
  /** The project that it is taken into. */
  open?: OpenProject | null;
  /** The price book that prices go to; absent: the open project's, or one's own. */
  prices?: PriceTarget;
  /** A file that is picked already. */
  file?: ImportFile;
  asksAtOnce?: boolean;
  onClose: () => void;
}

/** Where the taking of a file stands. */
type Step =
  | { at: 'start' }
  | { at: 'reading'; name: string }
  | { at: 'elsewhere'; sentence: string }
  | { at: 'wrong'; file: ImportFile; format: ImportFormat; problems: Problem[] }
  | { at: 'preview'; file: ImportFile; format: ImportFormat; preview: ImportPreview };

/** One dialog for every file that comes in: picked, known by what is in it, read, shown, and only then taken. */
export const ImportDialog = (props: ImportProps) => {
  const { wanted, open = null, onClose } = props;
  const context = useImportContext(open, props.prices);
  const [step, setStep] = useState<Step>(
    props.file ? { at: 'reading', name: props.file.name } : { at: 'start' },
  );
  const asked = IMPORT_FORMATS.find(({ id }) => id === wanted);

  const read = async (file: ImportFile, format: ImportFormat, reading: Promise<Result<ImportPreview>>) => {
    setStep({ at: 'reading', name: file.name });
    const result = await reading;
    setStep(
      result.ok
        ? { at: 'preview', file, format, preview: result.value }
        : { at: 'wrong', file, format, problems: result.problems },
    );
  };
  const toolsFor = (file: ImportFile, format: ImportFormat): ImportTools => ({
    show: (preview) => setStep({ at: 'preview', file, format, preview }),
    read: (reading) => void read(file, format, reading),
    close: onClose,
  });
  const begin = (file: ImportFile) => {
    if (!context) return;
    const format = formatOf(file, wanted);
    if (format.elsewhere && !context.open) return setStep({ at: 'elsewhere', sentence: format.elsewhere });
    void read(file, format, format.read(file, context));
  };
  const pick = async () => {
    const file = await pickFile(ACCEPTED);
    if (file) begin(file);
  };
  const isReady = context !== null;
  const start = useEffectEvent(() => {
    if (props.file) begin(props.file);
    else if (props.asksAtOnce) void pick();
  });
  useEffect(() => {
    const asking = isReady ? setTimeout(() => start(), 0) : undefined;
    return () => clearTimeout(asking);
  }, [isReady]);
  useEffect(() => stopReading, []);

  if (!context || !asked) return null;
  const actions =
    step.at === 'preview' ? step.preview.actions(context, toolsFor(step.file, step.format)) : [];
  if (step.at === 'preview' && step.preview.isTakenAtOnce)
    return <AtOnce run={actions.find(({ isMain }) => isMain)?.run} />;
  return (
    <Sheet
      title={titleOf(step, asked)}
      onClose={onClose}
      foot={
        <Foot step={step} actions={actions} onPick={() => void pick()} onStep={setStep} onClose={onClose} />
      }
    >
      {step.at === 'start' ? <Text>{asked.hint(context)}</Text> : null}
      {step.at === 'reading' ? (
        <View style={styles.reading}>
          <ActivityIndicator aria-label="Reading the file" />
          <Text>Reading {step.name} …</Text>
        </View>
      ) : null}
      {step.at === 'elsewhere' ? <Text>{step.sentence}</Text> : null}
      {step.at === 'wrong' ? <Faults file={step.file.name} problems={step.problems} /> : null}
      {step.at === 'preview' ? step.preview.body(context, toolsFor(step.file, step.format)) : null}
    </Sheet>
  );
};

/** Does what there is nothing to ask about. */
const AtOnce = ({ run }: { run: (() => void) | undefined }) => {
  const now = useEffectEvent(() => run?.());
  useEffect(() => now(), []);
  return null;
};

/** What may be picked: any kind, as it is known by what is in it. */
const ACCEPTED = [...new Set(IMPORT_FORMATS.flatMap(({ accept }) => accept.split(',')))].join(',');

const titleOf = (step: Step, asked: ImportFormat): string => {
  switch (step.at) {
    case 'start':
      return asked.title;
    case 'reading':
      return `Reading ${step.name}`;
    case 'elsewhere':
    case 'wrong':
      return 'Nothing was taken';
    case 'preview':
      return step.preview.title;
  }
};

const Foot = ({
  step,
  actions,
  onPick,
  onStep,
  onClose,
}: {
  step: Step;
  actions: ImportAction[];
  onPick: () => void;
  onStep: (step: Step) => void;
  onClose: () => void;
}) => {
  const otherwise = step.at === 'wrong' ? step.format.otherwise : undefined;
  if (step.at === 'reading') return <Button onPress={onClose}>Stop</Button>;
  return (
    <>
      {step.at === 'wrong' || step.at === 'elsewhere' ? <Button onPress={onClose}>Close</Button> : null}
      <Button mode={step.at === 'start' ? 'contained' : 'text'} onPress={onPick}>
        {step.at === 'start' ? 'Choose a file' : 'Another file'}
      </Button>
      {step.at === 'wrong' && otherwise ? (
        <Button onPress={() => onStep({ ...step, at: 'preview', preview: otherwise.preview(step.file) })}>
          {otherwise.label}
        </Button>
      ) : null}
      {actions.map(({ label, isMain = false, isDisabled = false, run }) => (
        <Button key={label} mode={isMain ? 'contained' : 'text'} onPress={run} disabled={isDisabled}>
          {label}
        </Button>
      ))}
    </>
  );
};

/** Null while what is kept is read. */
const useImportContext = (
  open: OpenProject | null,
  prices: PriceTarget | undefined,
): ImportContext | null => {
  const router = useRouter();
  const whole = useBook();
  const records = useProjects()?.records;
  const own = useOpenBook('own');
  const { settings, change } = useSettings();
  const today = useToday();
  if (!own || !records) return null;
  const { unit, currency } = open?.project ?? settings;
  const { book, dispatch, undo } = open ?? own;
  return {
    open,
    prices: prices ?? { book, dispatch, undo, unit, currency, today },
    whole,
    projects: records.map(({ project }) => project),
    settings,
    changeSettings: change,
    goTo: (path) => router.push(path as Href),
  };
};

const styles = StyleSheet.create({
  reading: { flexDirection: 'row', gap: 12, alignItems: 'center', paddingVertical: 24 },
});
