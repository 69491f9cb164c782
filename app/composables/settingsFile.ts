import { useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import { FileFault } from '../../core/formats/jsonFile'

/** Opens a file of settings; what is wrong with it is told line by line. @param take reads it, or throws that. */
export function useSettingsFile(take: (text: string) => Promise<void>) {
  const faults = ref<readonly string[]>([])
  const { open: choose, onChange } = useFileDialog({ accept: '.json,application/json', multiple: false, reset: true })
  onChange(async files => {
    if (!files?.[0]) return
    faults.value = []
    try {
      await take(await files[0].text())
    } catch (error) {
      faults.value = error instanceof FileFault ? error.lines : [(error as Error).message]
    }
  })
  return { faults, choose: () => choose() }
}

/** What a file of settings is called. */
export const settingsFileName = (name: string, kind: 'rules' | 'limits' | 'checklist') =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.${kind}.json`
