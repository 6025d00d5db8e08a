/**
 * A dialog puts the focus on its close button once it has come in. Whoever was quicker stays where he is: Enter would close what he writes
 * in. It looks for what asks for the focus first, so what has it asks for it.
 */
export const dialogs = {
  content: {
    onFocusin: (event: FocusEvent) => {
      const content = event.currentTarget as HTMLElement
      for (const before of content.querySelectorAll('[autofocus]')) before.removeAttribute('autofocus')
      ;(event.target as HTMLElement).setAttribute('autofocus', '')
    },
  },
}
