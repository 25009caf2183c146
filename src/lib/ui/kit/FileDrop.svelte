<script lang="ts">
  import { FileUpload } from '@skeletonlabs/skeleton-svelte';

  /** One file, chosen or dropped here. */
  interface Props {
    label: string;
    /** endings that are read, each with its point */
    endings: readonly string[];
    onfile: (file: File) => void;
  }
  let { label, endings, onfile }: Props = $props();
</script>

<FileUpload
  accept={{ 'application/octet-stream': [...endings] }}
  validate={() => null}
  maxFiles={1}
  onFileChange={(details) => {
    const [file] =
      details.acceptedFiles.length > 0
        ? details.acceptedFiles
        : details.rejectedFiles.map(({ file: one }) => one);
    if (file) onfile(file);
  }}
>
  <FileUpload.Dropzone aria-label={label}>
    <span class="act">{label}</span>
    <span class="hint">or drop it here: {endings.join(', ')}</span>
  </FileUpload.Dropzone>
  <FileUpload.HiddenInput aria-label={label} />
</FileUpload>
