<script lang="ts">
  import { dayInWords } from '$lib/words/when';
  import { RECORDS } from '$lib/words/pages/records';
  import { goto } from '$app/navigation';
  import { readCoupon } from '$core/grading/coupon.ts';
  import { gradeCoupon } from '$core/grading/grade-coupon.ts';
  import type { KeptCoupon } from '$lib/api/grading.ts';
  import SortedTable from '$lib/ui/kit/SortedTable.svelte';
  import type { TableColumn } from '$lib/ui/kit/table-column.ts';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  function marks({ coupon }: KeptCoupon): string {
    const read = readCoupon(coupon);
    if (!read.ok) return 'incomplete';
    const graded = gradeCoupon(read.coupon);
    return `${graded.marks.toFixed(1)} of ${graded.points}`;
  }
  const COLUMNS: TableColumn<KeptCoupon>[] = [
    { key: 'name', title: RECORDS.coupon, of: ({ coupon }) => coupon.name, words: true },
    { key: 'student', title: RECORDS.student, of: ({ coupon }) => coupon.student, words: true },
    { key: 'marks', title: 'Marks', of: marks },
    { key: 'by', title: 'Graded by', of: ({ savedBy }) => savedBy, words: true },
    {
      key: 'at',
      title: 'When',
      of: ({ savedAt }) => savedAt,
      text: ({ savedAt }) => dayInWords(savedAt),
      words: true
    }
  ];
</script>

<svelte:head><title>Grading · Zanjador</title></svelte:head>

<div class="page">
  <p class="hint"><a class="back" href="/records">Records</a> / grading</p>
  <header>
    <h1>Graded coupons</h1>
    <button
      class="act main"
      type="button"
      onclick={() => void goto(`/records/grading/${crypto.randomUUID()}`)}
      >{RECORDS.gradeACoupon}</button
    >
  </header>
  <p>
    Compares the coupon with the target and the student’s readings with the instructor’s.
    Workmanship and measuring are graded separately.
  </p>
  <SortedTable
    label="Coupons"
    rows={data.coupons}
    columns={COLUMNS}
    keyOf={({ id }) => id}
    empty="No graded coupons yet. Press “Grade a coupon”."
    onpick={({ id }) => void goto(`/records/grading/${id}`)}
  />
</div>

<style>
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
  }
</style>
