import { useState } from 'react';
import { ImportDialog, type ImportFile } from '@/imports';
import { pickFile } from '@/hooks';
import { Button } from '@/ui';

/** Opens a project file, or takes in whatever else was saved to one. */
export const OpenFile = () => {
  const [file, setFile] = useState<ImportFile | null>(null);
  return (
    <>
      <Button
        mode="outlined"
        onPress={() => void pickFile('.json,application/json,.csv,text/csv').then(setFile)}
      >
        Open a file
      </Button>
      {file ? <ImportDialog wanted="project" file={file} onClose={() => setFile(null)} /> : null}
    </>
  );
};
