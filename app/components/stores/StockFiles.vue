<script setup lang="ts">
import { CONVERSIONS } from '~~/core/units/unitSystem'
import { readStockFile, type ReadStock, type Stock, type StockRead } from '~~/shared/stores/files'
import { stockFileWords as w } from '~~/shared/wording/en/stockFile'
import { newId } from '~/device/newId'

/** Stock out of a file: each line beside what lies in the stores, before any of it is taken over. */
const props = defineProps<{ stock: Stock }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()

const nameOf = (row: ReadStock): string => {
  const { units, place } = row.fields
  const what =
    row.what === 'shims'
      ? w.shims(`${row.fields.thickness} ${CONVERSIONS[units].displacement.unit}`, row.fields.size)
      : w.belts(row.fields.section, `${row.fields.length} ${CONVERSIONS[units].distance.unit}`)
  return w.at(what, place)
}
const does = ({ fields, known, is, retired }: ReadStock): string => {
  if (!known) return w.isNew(fields.counted)
  if (is === 'same') return w.same
  return [
    ...(known.now === fields.counted ? [] : [w.counted(known.now, fields.counted)]),
    ...(known.low === fields.low ? [] : [w.orderAt(known.low, fields.low)]),
    ...(known.retired === retired ? [] : [retired ? w.retires : w.returns]),
  ].join('; ')
}
const put = async (address: string, { fields, known, retired }: ReadStock) => {
  if (!known) return askServer(address, { method: 'POST', body: { ...fields, id: newId() } })
  let { version } = known
  if (known.low !== fields.low || known.retired !== retired) {
    const size = 'size' in known ? { size: known.size } : {}
    const body = { version, retired, low: fields.low, place: known.place, ...size }
    version = (
      await askServer<{ readonly version: number }>(`${address}/${known.id}`, { method: 'PUT', body })
    ).version
  }
  if (known.now === fields.counted) return null
  const body = { id: newId(), counted: fields.counted, author: session.authorId, version }
  return askServer(`${address}/${known.id}/counts`, { method: 'POST', body })
}
const { read, intake } = useFileTake<StockRead, ReadStock>({
  shown,
  words: w,
  read: (text) => readStockFile(text, props.stock),
  wanted: ({ rows }) => rows.filter((r) => r.is !== 'same'),
  send: (row) => put(row.what === 'shims' ? '/api/stores/lots' : '/api/stores/belts', row),
  name: nameOf,
  faults: ({ faults }) => faults,
  done: () => emit('taken'),
})
</script>

<template>
  <FileIntake v-model="shown" v-bind="intake" accept=".csv,text/csv" width="min(640px, 96vw)">
    <ul v-if="read && read.rows.length > 0">
      <li v-for="(r, i) in read.rows" :key="i">
        <strong>{{ nameOf(r) }}</strong> {{ does(r) }}
      </li>
    </ul>
  </FileIntake>
</template>
