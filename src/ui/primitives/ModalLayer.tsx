import { type ReactNode, useLayoutEffect, useRef } from 'react';
import { Modal, type View } from 'react-native';

/**
 * The layer over the page that a sheet or a popover lies on: a dialog from its first moment, and still one while
 * another lies over it (WAI-ARIA 1.2, aria-modal). React Native for the web gives and takes the role a moment later.
 */
export function ModalLayer({
  label,
  onClose,
  children,
}: {
  label: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const layer = useRef<View>(null);
  useLayoutEffect(() => {
    const element = layer.current as unknown as HTMLElement;
    const keepRole = () => {
      if (element.getAttribute('role') !== 'dialog') element.setAttribute('role', 'dialog');
    };
    keepRole();
    const observer = new MutationObserver(keepRole);
    observer.observe(element, { attributeFilter: ['role'] });
    return () => observer.disconnect();
  }, []);
  return (
    <Modal ref={layer} transparent visible onRequestClose={onClose} animationType="none" aria-label={label}>
      {children}
    </Modal>
  );
}
