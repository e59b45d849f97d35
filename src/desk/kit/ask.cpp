// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/ask.h"

#include <QInputDialog>

namespace zelo::desk {

void askText(QWidget* window, const QString& title, const QString& label, const QString& text,
             const std::function<void(const QString&)>& take) {
    auto* dialog = new QInputDialog(window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(title);
    dialog->setLabelText(label);
    dialog->setTextValue(text);
    QObject::connect(dialog, &QInputDialog::textValueSelected, window, take);
    dialog->open();
}

} // namespace zelo::desk
