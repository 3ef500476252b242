<script lang="ts">
  /** One's own account: the studios one works for, address, password, second factor, where one is signed in. */
  import { goto } from "$app/navigation";
  import Address from "$lib/account/Address.svelte";
  import Password from "$lib/account/Password.svelte";
  import SecondFactor from "$lib/account/SecondFactor.svelte";
  import Sessions from "$lib/account/Sessions.svelte";
  import { ROLES } from "$lib/studio/roles";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  async function workFor(member: number) {
    const refusal = await studio.workFor(member);
    if (refusal) notice.say(refusal.message);
    else await goto("/people", { invalidateAll: true });
  }
</script>

<svelte:head><title>Account · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-5xl grow px-5 py-7">
    <h1 class="heading border-b-2 border-walnut pb-2 text-3xl">{studio.me?.name}</h1>
    <div class="mt-5 grid gap-x-14 gap-y-9 lg:grid-cols-2">
      <div class="space-y-9">
        <section aria-labelledby="works">
          <h2 id="works" class="heading text-xl">You work for</h2>
          <ul class="mt-2 border-t border-rule">
            {#each studio.me?.works_in ?? [] as one (one.member)}
              {@const here = one.member === studio.me?.member}
              <li class="flex items-center gap-x-4 border-b border-rule py-1.5">
                <span class="font-medium">{one.studio}</span>
                <span class="grow text-sm text-bark">as {ROLES[one.role].name.toLowerCase()}</span>
                {#if here}<span class="px-1.5 text-sm">now</span>
                {:else}<button class="quiet" onclick={() => void workFor(one.member)}>Work here</button>{/if}
              </li>
            {/each}
          </ul>
          {#if studio.me}<p class="mt-2 text-sm text-bark">{ROLES[studio.me.role].may}</p>{/if}
        </section>
        <section aria-labelledby="second">
          <h2 id="second" class="heading text-xl">Second factor</h2>
          <SecondFactor />
        </section>
        <section aria-labelledby="sessions">
          <h2 id="sessions" class="heading text-xl">Where you are signed in</h2>
          <Sessions />
        </section>
      </div>
      <div class="space-y-9">
        <section aria-labelledby="address">
          <h2 id="address" class="heading text-xl">Email address</h2>
          <Address />
        </section>
        <section aria-labelledby="password">
          <h2 id="password" class="heading text-xl">Password</h2>
          <Password />
        </section>
      </div>
    </div>
  </main>
</div>
