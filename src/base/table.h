// SPDX-License-Identifier: GPL-3.0-or-later
// Table<Id, T>: things by id, in the order of their ids, behind one pointer. Immutable: what
// changes it gives the next table, which shares every item that stayed, and the ids too where none
// came or went. A copy costs one pointer; an edit 16 bytes an item; finding is by halving.
//
//   for (const auto& [id, fixture] : show.fixtures)   // fixture: shared_ptr<const Fixture>
#pragma once

#include "base/assert.h"

#include <algorithm>
#include <cstddef>
#include <iterator>
#include <memory>
#include <utility>
#include <vector>

namespace zelo {

template <class Id, class T>
class Table {
public:
    using Item = std::shared_ptr<const T>;
    using Change = std::pair<Id, Item>; // no item: it goes

    struct Entry {
        const Id& first;
        const Item& second;
    };

    class Iterator {
    public:
        using iterator_category = std::forward_iterator_tag;
        using value_type = Entry;
        using difference_type = std::ptrdiff_t;
        using pointer = const Entry*;
        using reference = Entry;
        Iterator() = default;
        Iterator(const Table* table, std::size_t at) : table_(table), at_(at) {}
        Entry operator*() const { return {(*table_->ids_)[at_], (*table_->items_)[at_]}; }
        Iterator& operator++() {
            ++at_;
            return *this;
        }
        Iterator operator++(int) { return {table_, at_++}; }
        friend bool operator==(const Iterator&, const Iterator&) = default;

    private:
        const Table* table_ = nullptr;
        std::size_t at_ = 0;
    };
    using const_iterator = Iterator;

    Table() = default;
    // Of the same id the last one stays.
    static Table of(std::vector<Change> items) { return Table().changed(std::move(items)); }

    std::size_t size() const { return ids_ ? ids_->size() : 0; }
    bool empty() const { return size() == 0; }
    Iterator begin() const { return {this, 0}; }
    Iterator end() const { return {this, size()}; }

    const T* find(const Id& id) const { return item(id).get(); }
    bool contains(const Id& id) const { return find(id) != nullptr; }
    const Item& item(const Id& id) const { // null when it is not there
        static const Item none;
        if (!ids_)
            return none;
        const auto at = std::lower_bound(ids_->begin(), ids_->end(), id);
        if (at == ids_->end() || id < *at)
            return none;
        return (*items_)[static_cast<std::size_t>(at - ids_->begin())];
    }
    const Item& at(const Id& id) const { // requires that it is there
        const Item& found = item(id);
        ZELO_ASSERT(found);
        return found;
    }
    Entry entry(std::size_t at) const { return {(*ids_)[at], (*items_)[at]}; } // requires < size()

    Table with(Id id, T value) const {
        return with(std::move(id), std::make_shared<const T>(std::move(value)));
    }
    Table with(Id id, Item item) const {
        std::vector<Change> one;
        one.emplace_back(std::move(id), std::move(item));
        return changed(std::move(one));
    }
    Table without(const Id& id) const { return contains(id) ? with(id, Item()) : *this; }
    template <class F> // goes(id, item)
    Table withoutIf(F goes) const {
        std::vector<Change> gone;
        for (const auto& [id, item] : *this)
            if (goes(id, *item))
                gone.emplace_back(id, Item());
        return gone.empty() ? *this : changed(std::move(gone));
    }

    // All at once; of the same id the last one counts.
    Table changed(std::vector<Change> changes) const {
        std::stable_sort(changes.begin(), changes.end(),
                         [](const Change& a, const Change& b) { return a.first < b.first; });
        auto items = std::make_shared<Items>();
        if (keepsIds(changes)) {
            if (items_)
                *items = *items_;
            for (auto& c : changes) {
                const auto at = std::lower_bound(ids_->begin(), ids_->end(), c.first);
                (*items)[static_cast<std::size_t>(at - ids_->begin())] = std::move(c.second);
            }
            return Table(ids_, std::move(items));
        }
        auto ids = std::make_shared<Ids>();
        ids->reserve(size() + changes.size());
        items->reserve(size() + changes.size());
        std::size_t old = 0;
        const auto keepUpTo = [&](const Id* next) {
            for (; old < size() && (!next || (*ids_)[old] < *next); ++old) {
                ids->push_back((*ids_)[old]);
                items->push_back((*items_)[old]);
            }
        };
        for (std::size_t c = 0; c < changes.size(); ++c) {
            if (c + 1 < changes.size() && !(changes[c].first < changes[c + 1].first))
                continue; // a later one counts
            keepUpTo(&changes[c].first);
            if (old < size() && !(changes[c].first < (*ids_)[old]))
                ++old; // replaced, or gone
            if (!changes[c].second)
                continue;
            ids->push_back(std::move(changes[c].first));
            items->push_back(std::move(changes[c].second));
        }
        keepUpTo(nullptr);
        ids->shrink_to_fit();
        items->shrink_to_fit();
        return Table(std::move(ids), std::move(items));
    }

    // The same ids with the very same items.
    friend bool operator==(const Table& a, const Table& b) {
        return a.items_ == b.items_ ||
               (a.size() == b.size() &&
                (a.empty() || (*a.ids_ == *b.ids_ && *a.items_ == *b.items_)));
    }

private:
    using Ids = std::vector<Id>;
    using Items = std::vector<Item>;
    Table(std::shared_ptr<const Ids> ids, std::shared_ptr<const Items> items)
        : ids_(std::move(ids)), items_(std::move(items)) {}
    bool keepsIds(const std::vector<Change>& changes) const {
        return std::all_of(changes.begin(), changes.end(),
                           [&](const Change& c) { return c.second && contains(c.first); });
    }

    std::shared_ptr<const Ids> ids_;
    std::shared_ptr<const Items> items_; // as many
};

} // namespace zelo
