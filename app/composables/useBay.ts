/** The light of the bay, on the root element where the tokens look for it. */
export const useBay = () => {
  const session = useSession()
  watchEffect(() => {
    document.documentElement.dataset.bay = session.bay
  })
}
