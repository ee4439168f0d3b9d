<script lang="ts">
  import { inWords } from '../../shared/words';

  interface Props {
    title: string;
    /** What may be named. */
    names: readonly string[];
    /** What it may be set to, with the words for it. */
    levels: [number, string][];
    shares: Record<string, number>;
    onchange: (shares: Record<string, number>) => void;
  }

  let { title, names, levels, shares, onchange }: Props = $props();
  const set = $derived(Object.entries(shares).toSorted((a, b) => b[1] - a[1]));
  const others = $derived(names.filter((n) => !(n in shares)));
  const options = (value: number): [number, string][] =>
    levels.some(([level]) => level === value) ? levels : [...levels, [value, String(value)]];
</script>

<fieldset>
  <legend class="mb-1 font-semibold">{title}</legend>
  <ul class="grid gap-1">
    {#each set as [name, value] (name)}
      <li class="grid grid-cols-[1fr_10rem_auto] items-center gap-2 text-plain">
        <span>{inWords(name)}</span>
        <select
          class="select select-xs"
          aria-label="{inWords(name)} is"
          {value}
          onchange={(event) => onchange({ ...shares, [name]: Number(event.currentTarget.value) })}
        >
          {#each options(value) as [level, words] (level)}<option value={level}>{words}</option>{/each}
        </select>
        <button
          type="button"
          class="btn btn-ghost btn-xs"
          aria-label="Without {inWords(name)}"
          onclick={() => onchange(Object.fromEntries(Object.entries(shares).filter(([n]) => n !== name)))}
          >×</button
        >
      </li>
    {/each}
  </ul>
  <select
    class="select select-xs mt-1 w-40"
    aria-label="Add to {title.toLowerCase()}"
    value=""
    onchange={(event) => {
      const name = event.currentTarget.value;
      event.currentTarget.value = '';
      if (name) onchange({ ...shares, [name]: levels[0]?.[0] ?? 1 });
    }}
  >
    <option value="">add …</option>
    {#each others as name, i (i)}<option value={name}>{inWords(name)}</option>{/each}
  </select>
</fieldset>
