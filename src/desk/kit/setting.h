// SPDX-License-Identifier: GPL-3.0-or-later
// What people set once for all shows, kept under XDG config: each stands beside what reads it, and
// in the one list of desk/shell/settings.h.
#pragma once

#include <QSettings>
#include <QString>
#include <QVariant>

namespace zelo::desk {

template <class T>
class Setting {
public:
    constexpr Setting(const char* key, T otherwise) : key_(key), otherwise_(otherwise) {}
    const char* key() const { return key_; }
    T get() const {
        const QVariant kept = QSettings().value(key_);
        return kept.canConvert<T>() ? kept.template value<T>() : otherwise_;
    }
    void set(const T& value) const { QSettings().setValue(key_, QVariant::fromValue(value)); }

private:
    const char* key_;
    T otherwise_;
};

} // namespace zelo::desk
