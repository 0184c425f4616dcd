<script setup lang="ts">
import { storeWords } from '~~/shared/wording/viewWords'
import { INSTRUMENT_KINDS } from '~~/shared/register/works'
import type { InstrumentRecord } from '~~/shared/stores/instrument'
import { newId } from '~/device/newId'

/** An instrument of the stores, added, changed or taken out of use. */
const props = defineProps<{ known: InstrumentRecord | null }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const w = storeWords.instruments
const form = ref({ name: '', kind: 'dial' as InstrumentRecord['kind'], due: '' })
const id = ref('')
const tried = ref(false)
const { working, message, refused, clear, send } = useSending()
useOnShown(shown, () => {
  const k = props.known
  form.value = { name: k?.name ?? '', kind: k?.kind ?? 'dial', due: k?.due ?? '' }
  id.value = k?.id ?? newId()
  tried.value = false
  clear()
})
const nameless = computed(() => form.value.name.trim() === '')
const save = async (retired = false) => {
  tried.value = true
  if (nameless.value) return
  const { name, kind, due } = form.value
  const fields = { name: name.trim(), kind, due: due === '' ? null : due, retired }
  const { known } = props
  const taken = await send(() =>
    known
      ? askServer(`/api/stores/instruments/${known.id}`, {
          method: 'PUT',
          body: { ...fields, version: known.version },
        })
      : askServer('/api/stores/instruments', { method: 'POST', body: { ...fields, id: id.value } }),
  )
  if (!taken) return
  shown.value = false
  emit('saved')
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="known ? w.change(known.name) : w.add"
    width="min(460px, 94vw)"
    append-to-body
    destroy-on-close
  >
    <form class="instrument" @submit.prevent="save()">
      <FormField
        :name="w.name"
        :fault="(tried && nameless) || refused.name ? (refused.name ?? w.needsName) : ''"
      >
        <el-input v-model="form.name" :aria-label="w.name" maxlength="80" />
      </FormField>
      <FormField :name="w.kind">
        <el-select v-model="form.kind" :aria-label="w.kind">
          <el-option v-for="k in INSTRUMENT_KINDS" :key="k" :value="k" :label="w.kinds[k]" />
        </el-select>
      </FormField>
      <FormField :name="w.due">
        <el-date-picker
          v-model="form.due"
          type="date"
          value-format="YYYY-MM-DD"
          format="D MMM YYYY"
          :placeholder="w.noCalibration"
          :aria-label="w.due"
          @update:model-value="form.due = $event ?? ''"
        />
      </FormField>
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
        w.save
      }}</el-button>
      <el-button v-if="known" class="quiet-button" :disabled="working" @click="save(true)">{{
        w.retire
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.instrument {
  display: grid;
  gap: 12px;
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
</style>
