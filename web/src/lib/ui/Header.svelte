<script lang="ts">
  import type { Snippet } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { accounts } from "../account/accounts";
  import { forget } from "../api/offline";
  import { studio, type Right } from "../studio.svelte";
  import Help from "./Help.svelte";
  import { notice } from "./notice.svelte";

  const PAGES: readonly (readonly [string, string, Right])[] = [
    ["/people", "People", "diary"],
    ["/diary", "Diary", "diary"],
    ["/due", "Due", "work"],
    ["/charts", "Size charts", "work"],
    ["/rules", "House rules", "work"],
    ["/studio", "Studio", "members"],
  ];
  const pages = $derived(PAGES.filter(([, , right]) => studio.may(right)));
  const { children }: { children?: Snippet } = $props();

  export async function otherUnit() {
    const refusal = await studio.change({ unit: studio.unit === "cm" ? "in" : "cm" });
    if (refusal) notice.say(refusal.message);
  }

  let help = $state(false);
  /** Show what each key does. */
  export const showKeys = () => (help = true);

  async function signOut() {
    await accounts("DELETE", "/auth/session");
    await forget();
    studio.enter(null);
    await goto("/sign-in");
  }
</script>

<header class="flex min-h-12 shrink-0 flex-wrap items-center gap-x-4 border-b border-rule px-4">
  <a href="/people" class="flex shrink-0 items-center gap-2 text-bark" aria-label="Basilwood, people">
    <img src="/leaf.svg" alt="" width="22" height="22" /><span class="hidden min-[43.75em]:inline"
      >Basilwood</span
    >
  </a>
  {#if children}{@render children()}
  {:else}
    <nav aria-label="Studio" class="flex flex-wrap gap-x-1">
      {#each pages as [path, name] (path)}
        <a
          class="quiet flex items-center px-1.5 whitespace-nowrap min-[43.75em]:px-2 aria-[current=page]:decoration-leaf aria-[current=page]:decoration-2"
          href={path}
          aria-current={page.url.pathname === path ? "page" : undefined}>{name}</a
        >
      {/each}
    </nav>
  {/if}
  <div class="ml-auto flex items-center gap-3 text-sm">
    <button class="quiet hidden min-[43.75em]:inline" onclick={showKeys}
      >Keys <span class="key letter">?</span></button
    >
    {#if studio.may("work")}<button
        class="quiet"
        onclick={() => void otherUnit()}
        title="Change to {studio.unit === 'cm' ? 'inches' : 'cm'}"
      >
        {studio.unit === "cm" ? "cm" : "inches"} <span class="key letter">U</span>
      </button>{/if}
    <a
      class="quiet hidden items-center text-bark lg:flex"
      href="/account"
      aria-current={page.url.pathname === "/account" ? "page" : undefined}
      >{studio.me?.name}, {studio.me?.studio.name}</a
    >
    <a class="quiet flex items-center lg:hidden" href="/account">Account</a>
    <button class="quiet" onclick={() => void signOut()}>Sign out</button>
  </div>
</header>
<Help bind:open={help} />
