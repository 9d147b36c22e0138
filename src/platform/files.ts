/** Gives the user a file to keep. */
export const saveFile = (name: string, text: string, type: string): void => {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

/** Lets the user pick a file and reads it as UTF-8; null when none was picked. */
export const pickFile = (accept: string): Promise<{ name: string; text: string } | null> =>
  new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => {
      const file = input.files?.[0];
      if (!file) resolve(null);
      else void file.text().then((text) => resolve({ name: file.name, text }));
    };
    input.oncancel = () => resolve(null);
    input.click();
  });
