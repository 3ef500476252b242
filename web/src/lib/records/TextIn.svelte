<script lang="ts">
  /** Text from a file chosen or dropped, or pasted. */
  interface Props {
    label: string;
    accept: string;
    rows?: number;
    example?: string;
    text: string;
  }
  let { label, accept, rows = 7, example = "", text = $bindable() }: Props = $props();
  /** The server reads no more than this either. */
  const MOST = 3_000_000;
  let trouble = $state<string | null>(null);

  async function take(file: File | undefined) {
    trouble = null;
    if (!file) return;
    if (file.size > MOST) trouble = `“${file.name.slice(0, 60)}” is larger than 3 MB, the most that is read.`;
    else text = await file.text();
  }
</script>

<label class="block">
  <span class="text-sm text-bark">{label}</span>
  <textarea
    class="field block resize-y font-mono text-sm"
    {rows}
    spellcheck="false"
    placeholder={example}
    bind:value={text}
    ondragover={(event) => event.preventDefault()}
    ondrop={(event) => {
      event.preventDefault();
      void take(event.dataTransfer?.files[0]);
    }}></textarea>
</label>
<label class="mt-2 flex flex-wrap items-center gap-2 text-sm">
  or from a file
  <input
    type="file"
    {accept}
    class="text-sm"
    onchange={(event) => void take(event.currentTarget.files?.[0])}
  />
</label>
{#if trouble}<p role="alert" class="mt-1 text-madder">{trouble}</p>{/if}
